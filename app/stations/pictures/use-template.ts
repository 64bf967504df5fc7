import { computed, ref, shallowRef, watch } from 'vue'
import type { Point } from '#core/photo/point'
import type { PageName } from '#core/groove/template-pdf'
import type { Picture } from '#core/job/picture.schema'
import { pdfFaces } from '~/composables/pdf-faces'
import { download, fileName } from '~/composables/use-files'
import { useWords } from '~/composables/use-words'
import { useJob } from '~/stores/job'
import { onPart } from './on-part'

export interface TwinTemplate {
  soundMm: [number, number][]
  brokenMm: [number, number][]
  missingMm: [number, number][][]
  areaMm2: number
  misfitMm: number
}

/**
 * The sound twin laid on the broken part, turned over where wanted: what is missing, on paper at its own size or as a
 * drawing file.
 */
export function useTemplate() {
  const store = useJob()
  const mirror = ref(true)
  const template = shallowRef<TwinTemplate | null>(null)
  const reason = ref<string | null>(null)
  const page = ref<PageName>('a4')
  const twin = computed(() => store.job?.pictures.find(picture => picture.stage === 'twin') ?? null)
  const broken = computed(
    () =>
      store.job?.pictures.find(
        picture => picture.stage === 'before' && picture.traces.some(trace => trace.kind === 'outline'),
      ) ??
      store.job?.pictures.find(picture => picture.stage === 'before') ??
      null,
  )
  const outline = (picture: Picture) => picture.traces.find(trace => trace.kind === 'outline')?.px ?? []

  watch(
    [twin, broken, mirror],
    async () => {
      template.value = null
      reason.value = null
      if (!twin.value || !broken.value) return
      try {
        const marks = 'two pins at least, the same places in the same order on both pictures'
        const [sound, lost, soundPins, lostPins] = await Promise.all([
          onPart(twin.value, outline(twin.value), 'an outline traced'),
          onPart(broken.value, outline(broken.value), 'an outline traced'),
          onPart(
            twin.value,
            twin.value.pins.map(pin => pin.px),
            marks,
          ),
          onPart(
            broken.value,
            broken.value.pins.map(pin => pin.px),
            marks,
          ),
        ])
        const { layOn, missing } = await import('#core/groove/template')
        const { place, misfitMm } = layOn(soundPins, lostPins, mirror.value)
        const soundMm = sound.map(point => place(point))
        const { rings, areaMm2 } = missing(soundMm, lost)
        template.value = { soundMm, brokenMm: lost, missingMm: rings, areaMm2, misfitMm }
      } catch (error) {
        reason.value = error instanceof Error ? error.message : 'that did not work'
      }
    },
    { immediate: true },
  )

  const { sayer } = useWords()
  const name = () => fileName(`${store.job!.title} template`)
  async function savePdf() {
    const now = template.value
    if (!now) return
    try {
      const { templatePdf } = await import('#core/groove/template-pdf')
      download(
        `${name()}.pdf`,
        await templatePdf(
          { title: store.job!.title, outlineMm: now.soundMm, missingMm: now.missingMm, page: page.value },
          await pdfFaces(),
          sayer.value,
        ),
        'application/pdf',
      )
      reason.value = null
    } catch (error) {
      reason.value = error instanceof Error ? error.message : 'the paper could not be made'
    }
  }
  async function saveDxf() {
    const now = template.value
    if (!now) return
    const { outlinesDxf } = await import('#core/groove/template')
    const outlines: { layer: string; pointsMm: readonly Point[]; closed: boolean }[] = [
      { layer: 'TEMPLATE', pointsMm: now.soundMm, closed: true },
      ...now.missingMm.map((pointsMm, n) => ({ layer: `MISSING_${n + 1}`, pointsMm, closed: true })),
    ]
    download(`${name()}.dxf`, outlinesDxf(outlines), 'application/dxf')
  }
  return { mirror, template, reason, page, twin, broken, savePdf, saveDxf }
}

import { computed, ref, shallowRef, toRaw } from 'vue'
import type { Kit } from '#core/job/job.schema'
import { STARTER_KITS, type StarterId } from '#core/job/starter-kits.table'
import { filesWorker } from '~/composables/files-worker'
import { download } from '~/composables/use-files'
import { useShop } from '~/stores/shop'

/** A kit's file is a shop's with no jobs in it: one format, read by the same rules. */
export function useKitFile() {
  const shop = useShop()
  const report = ref<{ bad: boolean; text: string } | null>(null)
  const before = shallowRef<Kit | null>(null)

  async function put(change: (kit: Kit) => Kit, text: string) {
    const was = structuredClone(toRaw(shop.kit))
    const wrong = await shop.changeKit(change)
    before.value = wrong === null ? was : before.value
    report.value = wrong === null ? { bad: false, text } : { bad: true, text: `Not taken: ${wrong}.` }
  }
  async function saveOut() {
    const { shopToText } = await import('#core/job/files')
    download('wild-sparrow-kit.json', shopToText([], structuredClone(toRaw(shop.kit)), new Date().toISOString()))
  }
  async function bringIn(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    input.value = ''
    if (!file) return
    const read = await filesWorker().read(new Uint8Array(await file.arrayBuffer()))
    if (!read.ok) {
      const { path, message } = read.issues[0]!
      report.value = { bad: true, text: `${file.name} was not taken in: ${path ? `${path}: ` : ''}${message}.` }
    } else if (!read.kit) report.value = { bad: true, text: `${file.name} holds no kit; nothing was changed.` }
    else {
      const { kit } = read
      await put(() => kit, `The kit of ${file.name} is on this bench${read.jobs.length ? '; its jobs were left' : ''}.`)
    }
  }
  /** Machines, torches, rods, wire and gas of a starter; names, rates and taps stay. */
  const startFrom = (id: StarterId) =>
    put(
      kit => ({ ...kit, ...structuredClone(STARTER_KITS[id].kit) }),
      `${STARTER_KITS[id].name}: put in. Change its figures to your own.`,
    )
  async function putBack() {
    if (before.value) await shop.saveKit(before.value)
    before.value = null
    report.value = { bad: false, text: 'The kit before is back.' }
  }
  return {
    report,
    before,
    saveOut,
    bringIn,
    startFrom,
    putBack,
    empty: computed(() => shop.kit.machines.length + shop.kit.torches.length === 0),
  }
}

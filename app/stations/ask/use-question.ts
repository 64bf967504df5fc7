import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { AnswerRows } from '#core/ask/answer-rows'
import { inputFromForm, type QuestionField } from '#core/ask/fields'
import type { Found } from '#core/station/find/find'
import type { Asked } from '#core/ask/registry'
import { hasComma } from '#core/words/numbers'
import { groupOf, QUESTION_GROUPS } from '#core/station/ask/ask-groups.table'
import { coreWorker } from '~/composables/core-worker'
import { useSettings } from '~/stores/settings'
import { brokeOff } from '~/workers/worker-gone'
import { linkTo, shared, type Form } from './share'

/** All questions in their groups, one of them and its form: asked anew as the fields change, in the worker. */
export function useQuestion() {
  const route = useRoute()
  const router = useRouter()
  const settings = useSettings()
  const list = shallowRef<{ name: string; purpose: string }[]>([])
  const name = ref<string | null>(typeof route.query.q === 'string' ? route.query.q : null)
  const fields = shallowRef<QuestionField[]>([])
  const form = ref<Form>({})
  /** What came with a link, until its fields are there. */
  let came = shared(route.hash)
  /** What was said in words, until its fields are there. */
  let put: Record<string, unknown> | null = null
  const sought = ref('')
  const result = shallowRef<Asked | null>(null)
  /** The answer as rows and tables. */
  const laid = shallowRef<AnswerRows | null>(null)
  const broken = shallowRef<{ path: string; message: string }[]>([])
  let ticket = 0

  onMounted(async () => {
    list.value = await coreWorker().list()
  })
  watch(
    name,
    async chosen => {
      result.value = null
      form.value = {}
      const found = chosen ? await coreWorker().fields(chosen) : []
      if (chosen !== name.value) return
      fields.value = found
      if (came) form.value = Object.fromEntries(found.flatMap(({ key }) => (key in came! ? [[key, came![key]!]] : [])))
      if (put) form.value = asForm(put)
      came = put = null
      void router.replace({ query: chosen ? { q: chosen } : {} })
    },
    { immediate: true },
  )
  watch(
    [form, fields],
    async () => {
      if (!name.value) return
      const { input, issues } = inputFromForm(fields.value, form.value, hasComma(settings.language))
      broken.value = issues
      const required = fields.value.filter(field => field.required)
      if (issues.length || (required.length > 0 && required.every(field => !(field.key in input)))) {
        result.value = null
        return
      }
      const mine = ++ticket
      const { asked, laid: rows } = await coreWorker()
        .askLaidOut(name.value, input)
        .catch((error: unknown) => ({
          asked: { ok: false as const, error: { kind: 'no-answer' as const, reason: brokeOff(error).reason } },
          laid: null,
        }))
      if (mine !== ticket) return
      result.value = asked
      laid.value = rows
    },
    { deep: true },
  )

  const useExample = () => {
    form.value = asForm(Object.fromEntries(fields.value.map(({ key, example }) => [key, example])))
  }
  /** Values of a question's input as its form holds them. */
  const asForm = (values: Record<string, unknown>): Form =>
    Object.fromEntries(
      fields.value.flatMap(({ key, kind }) => {
        const value = values[key]
        if (value === undefined) return []
        return [
          [
            key,
            kind === 'json'
              ? JSON.stringify(value, null, 1)
              : kind === 'quantity'
                ? String(value)
                : (value as string | boolean),
          ],
        ]
      }),
    )

  /** Questions that what was typed may mean, with what it said put into them. */
  const meant = shallowRef<Found[]>([])
  const lookUp = async (words: string): Promise<Found[]> => {
    const asked = words.trim()
      ? await coreWorker().ask('ask.find', { words: words.slice(0, 400), language: settings.language })
      : null
    return asked?.ok ? (asked.answer as { found: Found[] }).found : []
  }
  watch(sought, async words => {
    const found = await lookUp(words ?? '')
    if (words === sought.value) meant.value = found
  })
  /** The likeliest of what the words mean as they now stand, whatever the list still shows. */
  const likeliest = async (): Promise<Found | null> => (await lookUp(sought.value ?? ''))[0] ?? null
  /** Opens a question with what was said in its fields. */
  function take({ question, input }: Found) {
    if (question === name.value) {
      form.value = asForm(input)
      return
    }
    put = input
    name.value = question
  }
  const issues = computed(() => [
    ...broken.value,
    ...(result.value && !result.value.ok && result.value.error.kind === 'invalid-input'
      ? result.value.error.issues
      : []),
  ])
  const purposeOf = (question: string) => list.value.find(entry => entry.name === question)?.purpose ?? ''
  /** The groups with the questions that hold every word sought. */
  const groups = computed(() => {
    // Their words come with the worker: a button without any says nothing to anybody.
    if (!list.value.length) return []
    const wanted = (sought.value ?? '').toLowerCase().split(/\s+/).filter(Boolean)
    return QUESTION_GROUPS.map(group => ({
      ...group,
      found: group.questions
        .map(question => ({ name: question, purpose: purposeOf(question) }))
        .filter(({ name: id, purpose }) =>
          wanted.every(word => `${id} ${purpose} ${group.name}`.toLowerCase().includes(word)),
        ),
    })).filter(group => group.found.length)
  })
  const link = computed(() => (name.value ? linkTo(location.origin, name.value, form.value) : ''))

  return {
    sought,
    groups,
    group: computed(() => (name.value ? groupOf(name.value) : undefined)),
    link,
    name,
    purpose: computed(() => purposeOf(name.value ?? '')),
    purposeOf,
    fields,
    form,
    result,
    laid,
    issues,
    useExample,
    meant,
    likeliest,
    take,
  }
}

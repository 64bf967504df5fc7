import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { inputFromForm, type QuestionField } from '#core/ask/fields'
import type { Asked } from '#core/ask/registry'
import { coreWorker } from './core-worker'

/** One question and its form: asked anew as the fields change, in the worker. */
export function useQuestion() {
  const route = useRoute()
  const router = useRouter()
  const list = shallowRef<{ name: string; purpose: string }[]>([])
  const name = ref<string | null>(typeof route.query.q === 'string' ? route.query.q : null)
  const fields = shallowRef<QuestionField[]>([])
  const form = ref<Record<string, string | number | boolean | null>>({})
  const result = shallowRef<Asked | null>(null)
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
      fields.value = chosen ? await coreWorker().fields(chosen) : []
      if (chosen) void router.replace({ query: { q: chosen } })
    },
    { immediate: true },
  )
  watch(
    [form, fields],
    async () => {
      if (!name.value) return
      const { input, issues } = inputFromForm(fields.value, form.value)
      broken.value = issues
      const required = fields.value.filter(field => field.required)
      if (issues.length || (required.length > 0 && required.every(field => !(field.key in input)))) {
        result.value = null
        return
      }
      const mine = ++ticket
      const answered = await coreWorker().ask(name.value, input)
      if (mine === ticket) result.value = answered
    },
    { deep: true },
  )

  function useExample() {
    form.value = Object.fromEntries(
      fields.value
        .filter(field => field.example !== undefined)
        .map(field => [
          field.key,
          field.kind === 'json'
            ? JSON.stringify(field.example, null, 1)
            : field.kind === 'quantity'
              ? String(field.example)
              : (field.example as string | boolean),
        ]),
    )
  }
  const issues = computed(() => [
    ...broken.value,
    ...(result.value && !result.value.ok && result.value.error.kind === 'invalid-input'
      ? result.value.error.issues
      : []),
  ])
  return {
    list,
    name,
    purpose: computed(() => list.value.find(entry => entry.name === name.value)?.purpose ?? ''),
    fields,
    form,
    result,
    issues,
    useExample,
  }
}

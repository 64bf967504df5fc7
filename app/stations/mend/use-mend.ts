import { computed } from 'vue'
import type { StoredMend } from '#core/job/mend.schema'
import { newMend } from '#core/job/new-mend'
import { kindOf, KIND_IDS, wordsFor, type KindId } from '#core/mend/registry'
import { useJob } from '~/stores/job'

/** The mends of the open job, and the one that the address names. */
export function useMends() {
  const store = useJob()
  const route = useRoute()
  const router = useRouter()
  const all = computed(() => store.job?.mends ?? [])
  /** The one that the address names; a part that has but one needs none named. */
  const current = computed<StoredMend | null>(
    () => all.value.find(mend => mend.id === route.query.mend) ?? (all.value.length === 1 ? all.value[0]! : null),
  )
  const row = computed(() => store.plan?.mends.rows.find(each => each.id === current.value?.id) ?? null)
  const every = computed(() =>
    Object.entries(current.value ? kindOf(current.value.kind).fields : {}).map(([key, field]) => ({
      key,
      field,
      path: `mends.#${current.value!.id}.readings.${key}`,
    })),
  )
  const stands = ([flag, is]: readonly [string, boolean]) =>
    (current.value?.readings[flag] ?? kindOf(current.value!.kind).fields[flag]?.usual) === is
  const asked = computed(() => every.value.filter(({ field }) => !field.ofWay && (!field.when || stands(field.when))))
  /** What is asked as it is opened, and what is asked where it is rebuilt. */
  const fields = computed(() => asked.value.filter(({ field }) => field.at === undefined))
  const atRebuild = computed(() => asked.value.filter(({ field }) => field.at === 'rebuild'))
  /** Those that few mends want; one that was said counts. */
  const more = computed(() => asked.value.filter(({ field }) => field.at === 'more'))
  const isMoreSaid = computed(() => more.value.some(({ key }) => current.value?.readings[key] !== undefined))
  /** What names of a field stand for: other mends, its own steps. */
  const named = computed<Record<string, Record<string, string>>>(() => ({
    after: Object.fromEntries(
      all.value
        .filter(mend => mend.id !== current.value?.id)
        .map(mend => [mend.id, mend.name || kindOf(mend.kind).name]),
    ),
    elsewhere: Object.fromEntries(
      [...(row.value?.planned?.opening ?? []), ...(row.value?.planned?.rebuild ?? [])].map(({ code }) => [
        code,
        wordsFor(row.value!.kind, code),
      ]),
    ),
  }))
  /** Those that only the way it goes asks for. */
  const ofWay = computed(() =>
    every.value.filter(({ field }) => field.ofWay && field.ofWay === row.value?.planned?.way),
  )

  const to = (id: string) => ({ query: { ...route.query, mend: id } })
  const show = (id: string | null) => router.replace({ query: { ...route.query, mend: id ?? undefined } })
  /** Puts a mend on the part and shows it. */
  function add(kind: KindId): string | null {
    const id = crypto.randomUUID()
    const refused = store.edit(['mends'], [...all.value, newMend(id, kind)])
    if (!refused) void show(id)
    return refused
  }
  function remove(id: string) {
    store.edit(
      ['mends'],
      all.value.filter(mend => mend.id !== id),
    )
    if (route.query.mend === id) void show(null)
  }
  function move(id: string, by: -1 | 1) {
    const list = [...all.value]
    const from = list.findIndex(mend => mend.id === id)
    const to = from + by
    if (from < 0 || to < 0 || to >= list.length) return
    list.splice(to, 0, ...list.splice(from, 1))
    store.edit(['mends'], list)
  }
  const kinds = KIND_IDS.map(id => ({ id, name: kindOf(id).name }))
  return { all, current, row, fields, atRebuild, more, isMoreSaid, named, ofWay, to, show, add, remove, move, kinds }
}

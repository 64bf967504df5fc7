import { computed, ref, toRaw } from 'vue'
import { kitSchema, type Kit } from '#core/job/job.schema'
import { kitDrills } from '#core/thread/kit-drills'
import { kitTaps } from '#core/thread/kit-taps'
import { write } from '#core/quantity/show'
import type { UnitKey } from '#core/quantity/units.table'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

export type KitList = 'machines' | 'torches' | 'rods' | 'spools' | 'gases'
export interface KitColumn {
  key: string
  label: string
  unit?: UnitKey
  suffix?: string
  /** How it is written, shown while it is empty. */
  placeholder?: string
  choices?: Readonly<Record<string, string>>
  blank: string | number | null
  /** The group of fields it stands in. */
  group?: string
  /** Rows it is asked of; left out, all. */
  only?: (row: Record<string, unknown>) => boolean
}
type Row = Record<string, unknown> & { id: string }

/** What is used up is priced as is usual until somebody has said what this shop pays. */
export const isPrice = ({ key }: KitColumn) => key === 'price' || key === 'pricePerKg'

/** Editing the kit: a change is stored only when the whole kit stays sound; else it says why. */
export function useKit() {
  const shop = useShop()
  const settings = useSettings()
  const problem = ref<string | null>(null)
  const kit = computed(() => shop.kit)

  /** @returns what is wrong with the kit as it would become, or null when the change is taken */
  function put(change: (kit: Kit) => unknown): string | null {
    const parsed = kitSchema.safeParse(change(toRaw(shop.kit)))
    if (!parsed.success) return parsed.error.issues[0]!.message
    void shop.changeKit(kit => change(kit) as Kit)
    return null
  }
  const rowsOf = (of: Kit, list: KitList) => of[list] as unknown as Row[]
  const rows = (list: KitList) => rowsOf(shop.kit, list)
  const setRows = (list: KitList, change: (rows: Row[]) => Row[]) =>
    put(before => ({ ...before, [list]: change(rowsOf(before, list)) }))
  function add(list: KitList, columns: readonly KitColumn[]) {
    const row = {
      id: crypto.randomUUID(),
      ...Object.fromEntries(columns.map(column => [column.key, column.blank])),
      ...(columns.some(isPrice) ? { usualPrice: true } : {}),
    }
    return setRows(list, before => [...before, row])
  }
  const remove = (list: KitList, id: string) => setRows(list, before => before.filter(row => row.id !== id))

  /** @returns what is wrong with what was typed, or null when it is stored */
  function set(list: KitList, id: string, column: KitColumn, typed: string): string | null {
    let value: unknown = typed
    if (column.blank === null && typed.trim() === '') value = null
    else if (column.unit) {
      const reading = settings.read(typed, column.unit)
      if (!reading.ok) return reading.message
      value = reading.value
    }
    const paid = isPrice(column) ? { usualPrice: false } : {}
    return setRows(list, before => before.map(row => (row.id === id ? { ...row, [column.key]: value, ...paid } : row)))
  }
  const shown = (row: Row, column: KitColumn) =>
    typeof row[column.key] === 'number' && column.unit && column.unit !== 'number'
      ? write(Number((row[column.key] as number).toPrecision(6)), column.unit, settings.system)
      : String(row[column.key] ?? '')

  function setRate(key: keyof Kit, typed: unknown) {
    const text = String(typed).trim()
    let value: unknown = typed
    if (key !== 'shop' && key !== 'currency' && key !== 'drills' && key !== 'taps') {
      const read = text === '' ? null : settings.read(text, 'number')
      if (read && !read.ok) {
        problem.value = read.message
        return
      }
      value = read?.value ?? null
    }
    const saysRate = key === 'ratePerHour' ? { rateAssumed: false } : {}
    problem.value = put(before => ({ ...before, [key]: value, ...saysRate }))
  }
  const rates = [
    { key: 'ratePerHour', label: 'An hour of work' },
    { key: 'pricePerKWh', label: 'A kilowatt-hour' },
    { key: 'latitudeDeg', label: 'Latitude, °' },
    { key: 'longitudeDeg', label: 'Longitude, °' },
  ] as const
  const unreadDrills = computed(() => kitDrills(shop.kit.drills).unread)
  const unreadTaps = computed(() => kitTaps(shop.kit.taps).unread)
  return { kit, unreadTaps, unreadDrills, rows, add, remove, set, shown, setRate, rates, problem }
}

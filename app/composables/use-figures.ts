import { reactive } from 'vue'
import type { UnitKey } from '#core/quantity/units.table'
import { useSettings } from '~/stores/settings'

interface Bounds {
  unit?: UnitKey
  least?: number
  most?: number
  whole?: boolean
}

/** Figures typed into fields of a page: read as this reader writes them, and what is wrong said at the field. */
export function useFigures() {
  const settings = useSettings()
  const wrong = reactive<Record<string, string>>({})
  const typed = reactive<Record<string, string>>({})

  /** @returns the figure; null where nothing is typed; undefined where it is wrong, which `wrong` then says */
  function read(
    field: string,
    text: string | null,
    { unit = 'number', least = 0, most = Infinity, whole = false }: Bounds = {},
  ): number | null | undefined {
    delete wrong[field]
    typed[field] = text ?? ''
    const said = typed[field].trim()
    if (!said) return null
    const reading = settings.read(said, unit)
    if (!reading.ok) wrong[field] = reading.message
    else if (!(reading.value >= least && reading.value <= most))
      wrong[field] = Number.isFinite(most) ? `from ${least} to ${most}` : `from ${least} up`
    else if (whole && !Number.isInteger(reading.value)) wrong[field] = 'a whole number'
    else return reading.value
    return undefined
  }
  const wrongAt = (field: string) => (wrong[field] ? [wrong[field]] : [])
  /** What a field shows: what is being typed or is wrong as it was typed, else what is stored. */
  const shown = (field: string, stored: number | null | undefined) =>
    typed[field] ?? (stored == null ? '' : String(stored))
  /** The field is left: what is sound is shown as it is stored. */
  function left(field: string) {
    if (!wrong[field]) delete typed[field]
  }
  return { read, wrongAt, shown, left }
}

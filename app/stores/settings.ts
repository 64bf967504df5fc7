import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { read } from '#core/quantity/read'
import { showText, type ReadingSystem } from '#core/quantity/show'
import { LANGUAGE_IDS, type LanguageId } from '#core/words/languages.table'
import { hasComma } from '#core/words/numbers'
import type { UnitKey } from '#core/quantity/units.table'

/** The first language of the browser that is spoken here. */
const preferred = (): LanguageId => {
  const tags = typeof navigator === 'undefined' ? [] : navigator.languages
  const spoken = tags.map(tag => LANGUAGE_IDS.find(id => id === tag.toLowerCase().split('-')[0]))
  return spoken.find(id => id !== undefined) ?? 'en'
}

/** How this reader reads: units, language, light or dark, gloves. Kept in the browser; never part of a job. */
export const useSettings = defineStore('settings', () => {
  const system = useLocalStorage<ReadingSystem>('ws-system', 'metric')
  const language = useLocalStorage<LanguageId>('ws-language', preferred())
  // What stands there may be of another version, or anybody's.
  if (!LANGUAGE_IDS.includes(language.value)) language.value = preferred()
  const light = useLocalStorage<'auto' | 'light' | 'dark'>('ws-light', 'auto')
  const gloves = useLocalStorage('ws-gloves', false)
  /** How a clock that has run out makes itself known; the flash is for those who wear ear defenders. */
  const sound = useLocalStorage('ws-sound', true)
  const flash = useLocalStorage('ws-flash', true)
  const prefersDark = usePreferredDark()
  const theme = computed(() => (light.value === 'auto' ? (prefersDark.value ? 'dark' : 'light') : light.value))
  const other = computed<ReadingSystem>(() => (system.value === 'inch' ? 'metric' : 'inch'))
  return {
    system,
    language,
    light,
    gloves,
    sound,
    flash,
    theme,
    other,
    swapSystem: () => {
      system.value = other.value
    },
    /** What the reader types, in their system and with their decimals. */
    read: (text: string, unit: UnitKey) => read(text, unit, system.value, hasComma(language.value)),
    /** A value in the reader's system. */
    text: (value: number, unit: UnitKey) => showText(value, unit, system.value),
    /** A length to thousandths, in both systems. */
    fine: (mm: number) => `${showText(mm * 1000, 'um', system.value)} · ${showText(mm * 1000, 'um', other.value)}`,
    /** A length to thousandths, in the reader's system. */
    fineText: (mm: number) => showText(mm * 1000, 'um', system.value),
    /** A value in both systems, or once where they agree. */
    both(value: number, unit: UnitKey) {
      const mine = showText(value, unit, system.value)
      const theirs = showText(value, unit, other.value)
      return mine === theirs ? mine : `${mine} · ${theirs}`
    },
  }
})

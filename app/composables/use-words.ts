import {
  computed,
  inject,
  provide,
  shallowRef,
  watch,
  type ComponentPublicInstance,
  type InjectionKey,
  type Ref,
} from 'vue'
import type { LanguageId } from '#core/words/languages.table'
import { sayerOf } from '#core/words/load'
import { ENGLISH, type Sayer } from '#core/words/say'

/** The language the reader reads. */
const current = shallowRef<Sayer>(ENGLISH)

/** Speaks another language from here on. @throws when its words do not arrive; the one before then stands. */
export async function speak(language: LanguageId): Promise<void> {
  current.value = await sayerOf(language)
  document.documentElement.lang = language
}

const WITHIN: InjectionKey<Readonly<Ref<Sayer>>> = Symbol('words within')

/** What a script says; a template needs nothing, its words go through `$say` by themselves (tools/words). */
export function useWords() {
  const within = inject(WITHIN, current)
  return {
    say: (given: string, places?: readonly unknown[]) => within.value(given, places),
    parts: <P>(sentence: readonly (P | string)[]) => within.value.parts(sentence),
    sayer: within,
  }
}

/** Outside any component: the words of the reader. */
export const sayNow = (given: string, places?: readonly unknown[]) => current.value(given, places)

/** A component and all within it in a language of its own: a record goes to the customer in theirs. */
export function sayWithin(language: () => LanguageId | null) {
  const own = shallowRef<Sayer | null>(null)
  watch(
    language,
    async id => {
      const sayer = id === null ? null : await sayerOf(id).catch(() => null)
      if (language() === id) own.value = sayer
    },
    { immediate: true },
  )
  const within = computed(() => own.value ?? current.value)
  provide(WITHIN, within)
  return within
}

interface Item {
  readonly title?: unknown
  readonly text?: unknown
}

function sayerFor(component: ComponentPublicInstance | undefined): Sayer {
  const provided = (component?.$ as { provides?: Record<symbol, Readonly<Ref<Sayer>>> } | undefined)?.provides
  return (provided?.[WITHIN as symbol] ?? current).value
}

/** `$say` of a template: what is shown, in the language of where it stands. */
export function sayInTemplate(this: ComponentPublicInstance | undefined, given: unknown, places?: readonly unknown[]) {
  const sayer = sayerFor(this)
  if (places) return sayer(given as string, places)
  return Array.isArray(given) ? given.map(one => sayer(one as unknown)) : sayer(given)
}

/** `$sayItems` of a template: choices with their titles in the language of where they stand. */
export function sayItemsInTemplate(this: ComponentPublicInstance | undefined, items: unknown) {
  const sayer = sayerFor(this)
  if (!Array.isArray(items) || sayer.language === 'en') return items
  return items.map((item: unknown) => {
    if (typeof item === 'string') return { title: sayer(item), value: item }
    if (typeof item !== 'object' || item === null) return item
    const { title, text } = item as Item
    return {
      ...item,
      ...(title === undefined ? {} : { title: sayer(title) }),
      ...(text === undefined ? {} : { text: sayer(text) }),
    }
  })
}

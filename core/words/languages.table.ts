/** The languages the program speaks, each by its own name. English is what it is written in. */
export const LANGUAGES = { en: { name: 'English' }, de: { name: 'Deutsch' } } as const
export type LanguageId = keyof typeof LANGUAGES
export const LANGUAGE_IDS = Object.keys(LANGUAGES) as [LanguageId, ...LanguageId[]]

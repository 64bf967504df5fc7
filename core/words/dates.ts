import { lettersLeft } from './plain'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const LONG_MONTHS = /(?:January|February|March|April|May|June|July|August|September|October|November|December)/
const LONG_DAYS = /(?:Sunday|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday)/
const DAY = `(?:${LONG_DAYS.source}|(?:${DAYS.join('|')})\\b)`
const MONTH = `(?:${LONG_MONTHS.source}|(?:${MONTHS.join('|')})\\b)`
const DATE = new RegExp(`(?:\\b(${DAY}) )?\\b(\\d{1,2}) (${MONTH})|\\b(${DAY})(?= \\d|$)`, 'g')

// The first of January 2023 was a Sunday.
const monthAt = (n: number) => new Date(2023, n, 1)
const dayAt = (n: number) => new Date(2023, 0, 1 + n)

/**
 * Days and months as a language names them: `Fri 27 Nov` becomes `Fr 27. Nov.` in German. Only dates as the program
 * writes them: a day of the month before its month, a day of the week before either or by itself. Null where the text
 * holds no date, or other words beside it.
 * @param language BCP 47 name
 */
export function datesIn(language: string): (text: string) => string | null {
  const names = new Map<string, string>()
  const put = (english: Date, options: Intl.DateTimeFormatOptions) =>
    names.set(
      new Intl.DateTimeFormat('en', options).format(english),
      new Intl.DateTimeFormat(language, { ...options }).format(english),
    )
  for (let n = 0; n < 12; n += 1) for (const month of ['long', 'short'] as const) put(monthAt(n), { month })
  for (let n = 0; n < 7; n += 1) for (const weekday of ['long', 'short'] as const) put(dayAt(n), { weekday })
  const name = (english: string) => names.get(english) ?? english
  const point = language === 'de' ? '.' : ''
  return text => {
    let found = false
    const named = text.replace(
      DATE,
      (_all, day: string | undefined, date: string, month: string, alone: string | undefined) => {
        found = true
        return alone ? name(alone) : `${day ? `${name(day)} ` : ''}${date}${point} ${name(month)}`
      },
    )
    return found && lettersLeft(text.replace(DATE, '')) === 0 ? named : null
  }
}

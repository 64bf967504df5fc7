import { figures } from '../../quantity/show'
import { count } from '../parts'
import { minutesOf, type MendsData } from './mend-row'
import type { Shown } from './station-says'

/**
 * What the mends come to, for what a settled station remembers: whatever upstream changes it. At Open and Weld that is
 * their way, metal and passes; at Rebuild their minutes too.
 */
export const mendsTake = ({ rows }: MendsData, station: Shown): string =>
  rows
    .map(({ name, planned }) => {
      if (!planned) return `${name}: not worked out`
      const way = planned.way ? `${planned.way.replaceAll('-', ' ')}, ` : ''
      const laid = `${way}${figures(planned.depositG, 3)} g, ${count(planned.passes, 'pass', 'passes')}`
      return `${name}: ${laid}${station === 'rebuild' ? `, ${figures(minutesOf(planned), 3)} min` : ''}`
    })
    .join('; ')

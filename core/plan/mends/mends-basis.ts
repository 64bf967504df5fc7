import { figures } from '../../quantity/show'
import { count } from '../parts'
import { minutesOf, type MendsData } from './mend-row'

/** What the mends come to, for what a settled station remembers: whatever upstream changes it. */
export const mendsTake = ({ rows }: MendsData): string =>
  rows
    .map(({ name, planned }) =>
      planned
        ? `${name}: ${planned.way ? `${planned.way.replaceAll('-', ' ')}, ` : ''}${figures(planned.depositG, 3)} g, ${count(planned.passes, 'pass', 'passes')}, ${figures(minutesOf(planned), 3)} min`
        : `${name}: not worked out`,
    )
    .join('; ')

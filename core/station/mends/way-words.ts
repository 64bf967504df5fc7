import { wayName } from '../../mend/way-name'
import type { MendRow } from './mend-row'

/** The way a mend goes, before what it takes; nothing where its kind has but one. */
export const wayWords = ({ kind, planned }: MendRow): string => (planned?.way ? `${wayName(kind, planned.way)}; ` : '')

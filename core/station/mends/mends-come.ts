import { inOrder } from '../../job/rests-on'
import { minutesOf, type MendsData } from './mend-row'
import type { Shown } from './said'

const told = (value: number) => Number(value.toPrecision(3))

/**
 * What the mends come to, for what a settled station remembers: whatever upstream changes it. At Open and Weld that is
 * their decision, way, metal and passes; at Weld what is still to be done of them; at Rebuild their minutes and steps.
 */
export const mendsCome = ({ rows }: MendsData, station: Shown): string =>
  inOrder(
    rows.map(({ id, planned, log, setUps, wants }) => {
      if (!planned) return `${id}:-${wants.length}`
      const { decision, because, way, depositG, passes, rebuild } = planned
      const own = [decision, because[0] ?? '', way ?? '', told(depositG), passes]
      const set = setUps[0]?.set
      if (station === 'weld')
        own.push(
          set?.machine?.id ?? '',
          set ? Math.round(set.dial ?? 0) : '',
          log.passes.filter(pass => pass.done).length,
          log.last?.saw ?? '',
          log.nextMove?.times ?? 0,
        )
      if (station === 'rebuild') own.push(told(minutesOf(planned)), rebuild.map(({ code }) => code).join('+'))
      return `${id}:${own.join(',')}`
    }),
  )

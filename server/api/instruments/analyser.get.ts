import { findAlloy } from '../../../core/metal/find-alloy'
import { seeded, simulate } from '../../../core/metal/identify/measure'

/**
 * A stand-in for a hand-held analyser: one reading of a named alloy as CSV, `element,percent`, with an analyser's own
 * errors.
 * The reading differs from one time to the next, as a real one does.
 */
export default defineEventHandler(event => {
  const alloy = findAlloy(String(getQuery(event).alloy ?? '356'))
  if (!alloy || alloy.form === 'filler')
    throw createError({ statusCode: 404, statusMessage: 'No such alloy in the table.' })
  const reading = simulate('composition', alloy, seeded(Date.now() % 2 ** 31))
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  const pct = reading?.test === 'composition' ? reading.pct : {}
  return ['element,percent', ...Object.entries(pct).map(([element, value]) => `${element},${value.toFixed(2)}`)].join(
    '\n',
  )
})

import { format } from 'date-fns'
import type { Card } from '#core/job/card'
import { sayNow } from '~/composables/use-words'
import { pdfFaces } from '~/composables/pdf-faces'
import { download } from '~/composables/use-files'

/** More than anyone ties on in a day. */
const MOST = 120

/** A sheet of tags for the open jobs among these; scanning one opens its job on this bench. */
export async function printLabels(cards: readonly Card[]): Promise<void> {
  const { labelsPdf } = await import('#core/shop/labels-pdf')
  const open = cards.filter(card => card.handedAt === null).slice(0, MOST)
  const labels = open.map(card => ({
    title: card.title,
    customer: card.customer,
    due: card.dueAt ? sayNow('for {0}', [format(new Date(card.dueAt), 'd MMM')]) : '',
    address: `${location.origin}/job/${card.id}/take-in`,
  }))
  download('labels.pdf', await labelsPdf(labels, 'a4', await pdfFaces()), 'application/pdf')
}

import type { Quote } from '../../shop/quote'
import { showText } from '../../quantity/show'

/** Less than this is nothing on a bill. */
const NOTHING = 0.005

/** The lines of a quote as they are billed: what comes to nothing is left out, minutes as a clock tells them. */
export const billed = ({ lines }: Pick<Quote, 'lines'>): { name: string; amount: string; price: number }[] =>
  lines
    .filter(({ price }) => price >= NOTHING)
    .map(({ name, quantity, unit, price }) => ({
      name,
      amount:
        unit === 'min' ? showText(quantity, 'min', 'metric') : unit ? `${Number(quantity.toPrecision(3))} ${unit}` : '',
      price,
    }))

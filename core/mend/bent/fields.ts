import { needed } from '../../field/field'

export const fields = {
  bentMm: needed('mm', 'Out of true', { max: 500 }),
  overMm: needed('mm', 'Over a length of', { max: 5000 }),
}

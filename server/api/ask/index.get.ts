import { questions } from '../../../core/questions'

/** The questions there are: names, purposes and an input to start from. */
export default defineEventHandler(() =>
  questions.names.map(name => {
    const { purpose, example } = questions.get(name)!
    return { name, purpose, example }
  }),
)

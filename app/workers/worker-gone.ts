/** A worker that could not be begun, ended, or fell silent; the next question begins it anew. */
export class WorkerGone extends Error {
  override readonly name = 'WorkerGone'
}

/** What came of a question that fell with its worker, as a long run tells of itself. */
export const brokeOff = (error: unknown) => ({
  ok: false as const,
  reason: error instanceof WorkerGone ? error.message : 'the program broke off here: change what was put in, or reload',
})

import { parentPort, type Transferable } from 'node:worker_threads'
import type { Reply } from './lane'

/** Answers a lane's pieces of work on this thread, one after another. */
export function answerOnThread<Task, Found>(
  work: (task: Task) => Promise<Omit<Reply<Found>, 'id'>> | Omit<Reply<Found>, 'id'>,
  moved: (found: Found) => readonly Transferable[] = () => [],
): void {
  parentPort!.on('message', ({ id, task }: { id: number; task: Task }) => {
    void (async () => {
      const reply = await work(task)
      parentPort!.postMessage({ id, ...reply }, [...moved(reply.found)])
    })()
  })
}

import { parentPort } from 'node:worker_threads'
import { questions } from '../../core/questions'

/** Questions answered off the server's own thread. Built by itself into `.output/server/ask-worker.mjs`. */
parentPort!.on('message', ({ id, name, input }: { id: number; name: string; input: unknown }) =>
  parentPort!.postMessage({ id, asked: questions.ask(name, input) }),
)

import { limitMemory, skinOf, type Skin } from './skin'
import { answerOnThread } from './work'

/** Shapes put together off the server's own thread. Built by itself into `.output/server/solid-worker.mjs`. */
limitMemory()
answerOnThread<string, Skin>(skinOf, found => ('triangles' in found ? [found.triangles.buffer as ArrayBuffer] : []))

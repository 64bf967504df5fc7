import { askText } from '../../core/ask/ask-text'
import type { Asked } from '../../core/ask/registry'
import { questions } from '../../core/questions'
import type { AskTask } from './ask'
import { answerOnThread } from './work'

/** Questions answered off the server's own thread. Built by itself into `.output/server/ask-worker.mjs`. */
answerOnThread<AskTask, Asked | null>(({ name, text, mostMs }) => ({ found: askText(questions, name, text, mostMs) }))

import { z } from 'zod'
import { LANGUAGE_IDS } from '../../words/languages.table'
import { plain } from '../../ask/output'
import { question, type Question } from '../../ask/question'
import { found } from './find'

/** The question that finds a question, over all the others. */
export const askFind = (others: readonly Question[]) =>
  question({
    name: 'ask.find',
    purpose: 'Which question plain words mean, with what they say put into its fields',
    input: z.strictObject({
      words: z.string().max(400),
      language: z.enum(LANGUAGE_IDS, { error: `one of ${LANGUAGE_IDS.join(', ')}` }).default('en'),
      most: z.number().int().min(1).max(20).default(3),
    }),
    output: z.strictObject({
      found: z.array(
        z.strictObject({
          question: z.string(),
          input: z.record(z.string(), z.unknown()),
          missing: z.array(z.string()),
          sure: plain,
        }),
      ),
    }),
    costMs: () => 20,
    example: { words: 'what drill for an M8 tap' },
    solve: ({ words, language, most }) => {
      const list = found(others, words, language, most)
      return {
        answer: { found: list },
        working: [
          {
            label: 'Fits',
            formula: 'words that each question is asked with, and figures that find a field by their unit',
            value: list.length,
            unit: '',
            source: 'judgement',
          },
        ],
        cautions: [],
      }
    },
  })

import { z } from 'zod'
import { FILE_TYPES } from '../job/file-kind'
import { secretSchema } from './secret'

/** Goes up whenever screens of another version could not follow what is said. */
export const SPEECH = 1

const id = z.string().regex(/^[\w-]{1,64}$/)
const sum = z.string().max(20)
const moment = z.iso.datetime()
const screenName = z.string().max(60)
/** As many jobs as a shop may have. */
const MOST_JOBS = 20_000
const byId = <Value extends z.ZodType>(value: Value) =>
  z.record(id, value).refine(found => Object.keys(found).length <= MOST_JOBS, { error: 'too many' })

/** What a screen takes part in: some jobs, those not handed over, or all of the shop. */
export const scopeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('jobs'), ids: z.array(id).max(200) }),
  z.object({ kind: z.literal('open') }),
  z.object({ kind: z.literal('shop') }),
])
export type Scope = z.output<typeof scopeSchema>

/** Who speaks, and what its program understands. */
const speaker = { screen: id, name: screenName, speech: z.number().int(), version: z.number().int() }

const clockSchema = z.object({
  id,
  name: z.string().max(200),
  jobId: id.nullable(),
  startedAt: z.number(),
  endsAt: z.number(),
  hushed: z.boolean().optional(),
  task: z.string().max(200).optional(),
})
export type SharedClock = z.output<typeof clockSchema>

/** Where a piece of a job's picture or shape lies. */
const place = { jobId: id, id }

/**
 * All that screens say to each other. Jobs and the kit are checked where they are taken in, as those of a file are;
 * `to` names the one that is meant where it is not for all.
 */
export const messageSchema = z.discriminatedUnion('kind', [
  /** Over the link: somebody would like to join. */
  z.object({ kind: z.literal('ask'), ...speaker }),
  /** Over the link, in answer: what there is to take, and the secret that the shop's screens share. */
  z.object({
    kind: z.literal('offer'),
    ...speaker,
    to: id,
    secret: secretSchema,
    jobs: z.array(z.object({ id, title: z.string().max(200) })).max(60),
    open: z.number().int().min(0),
    all: z.number().int().min(0),
  }),
  /** I am here, at this place, and take part in this; `first` asks the others to say the same. */
  z.object({
    kind: z.literal('here'),
    ...speaker,
    first: z.boolean(),
    at: z.string().max(120).nullable(),
    scope: scopeSchema,
  }),
  /** What stands on my shelf, each job by its sum, and what was taken off it and when. */
  z.object({ kind: z.literal('sums'), screen: id, to: id, jobs: byId(sum), gone: byId(moment), kit: sum.nullable() }),
  /** Send me these. */
  z.object({ kind: z.literal('want'), screen: id, to: id, jobs: z.array(id).max(MOST_JOBS), kit: z.boolean() }),
  z.object({ kind: z.literal('jobs'), screen: id, jobs: z.array(z.unknown()).max(500) }),
  z.object({ kind: z.literal('gone'), screen: id, gone: byId(moment) }),
  z.object({ kind: z.literal('kit'), screen: id, kit: z.unknown(), stamps: z.record(z.string().max(200), moment) }),
  z.object({
    kind: z.literal('clocks'),
    screen: id,
    clocks: z.array(clockSchema).max(200),
    /** Clocks that were stopped. */
    stopped: z.array(id).max(2000),
  }),
  /** Send me this file from this byte on. */
  z.object({ kind: z.literal('file-want'), screen: id, to: id, ...place, from: z.number().int().min(0) }),
  /** A piece of it: its bytes go with the message. */
  z.object({
    kind: z.literal('file-part'),
    screen: id,
    to: id,
    ...place,
    fileKind: z.enum(['picture', 'mesh']),
    name: z.string().max(200),
    type: z.enum(FILE_TYPES),
    from: z.number().int().min(0),
    total: z.number().int().min(0),
  }),
  /** I haven't got it. */
  z.object({ kind: z.literal('file-none'), screen: id, to: id, ...place }),
  /** I leave. */
  z.object({ kind: z.literal('bye'), screen: id }),
  /** You are to leave. */
  z.object({ kind: z.literal('out'), screen: id, to: id }),
])
export type Message = z.output<typeof messageSchema>
export type MessageOf<Kind extends Message['kind']> = Extract<Message, { kind: Kind }>

import { askFind } from './station/find/question'
import type { Question } from './ask/question'
import { createRegistry } from './ask/registry'
import * as arc from './arc/question'
import * as braze from './braze/question'
import * as call from './call/question'
import * as crack from './crack/question'
import * as day from './day/question'
import * as face from './face/question'
import * as fit from './fit/question'
import * as flame from './flame/question'
import * as flat from './flat/question'
import * as groove from './groove/question'
import * as heat from './heat/question'
import * as hold from './hold/question'
import * as leak from './leak/question'
import * as metal from './metal/question'
import * as photo from './photo/question'
import * as puddle from './puddle/pool/question'
import * as shop from './shop/question'
import * as thread from './thread/question'
import * as warp from './warp/question'
import * as station from './station/question'
import * as ways from './station/ways/question'
import * as matters from './station/matters/question'

/** Every question of a topic. */
const topics: readonly Question[] = [
  metal,
  call,
  crack,
  groove,
  heat,
  arc,
  braze,
  flame,
  face,
  flat,
  fit,
  thread,
  hold,
  leak,
  photo,
  puddle,
  shop,
  day,
  warp,
  station,
  ways,
  matters,
]
  .flatMap(topic => Object.values(topic))
  .filter(entry => 'solve' in entry)

/** Every question the core answers. The screens, the route and the command line all ask through this. */
export const questions = createRegistry([...topics, askFind(topics)])

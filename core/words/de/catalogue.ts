import type { Catalogue } from '../catalogue'
import answers from './answers.json'
import app from './app.json'
import arc from './arc.json'
import ask from './ask.json'
import bench from './bench.json'
import braze from './braze.json'
import call from './call.json'
import composables from './composables.json'
import crack from './crack.json'
import day from './day.json'
import db from './db.json'
import drawing from './drawing.json'
import face from './face.json'
import field from './field.json'
import fit from './fit.json'
import flame from './flame.json'
import flat from './flat.json'
import groove from './groove.json'
import heat from './heat.json'
import hold from './hold.json'
import instrument from './instrument.json'
import job from './job.json'
import jobPlan from './job-plan.json'
import lay from './lay.json'
import leak from './leak.json'
import matters from './matters.json'
import mend from './mend.json'
import metal from './metal.json'
import names from './names.json'
import pages from './pages.json'
import part from './part.json'
import photo from './photo.json'
import process from './process.json'
import puddle from './puddle.json'
import quantity from './quantity.json'
import safety from './safety.json'
import screens from './screens.json'
import server from './server.json'
import shop from './shop.json'
import solid from './solid.json'
import station from './station.json'
import stationAsk from './station-ask.json'
import stationCall from './station-call.json'
import stationDay from './station-day.json'
import stationHandOver from './station-hand-over.json'
import stationHeat from './station-heat.json'
import stationHold from './station-hold.json'
import stationKit from './station-kit.json'
import stationKnow from './station-know.json'
import stationLessons from './station-lessons.json'
import stationMend from './station-mend.json'
import stationOpen from './station-open.json'
import stationPictures from './station-pictures.json'
import stationProve from './station-prove.json'
import stationPuddle from './station-puddle.json'
import stationPull from './station-pull.json'
import stationRebuild from './station-rebuild.json'
import stationShape from './station-shape.json'
import stationShelf from './station-shelf.json'
import stationTakeIn from './station-take-in.json'
import stationThreads from './station-threads.json'
import stationWarm from './station-warm.json'
import stationWeld from './station-weld.json'
import stores from './stores.json'
import thread from './thread.json'
import warm from './warm.json'
import warp from './warp.json'
import workers from './workers.json'

/** All the words of the language, a file for each room of the house (tools/write-words.ts). */
export const GERMAN: Catalogue = Object.assign(
  {},
  answers,
  app,
  arc,
  ask,
  bench,
  braze,
  call,
  composables,
  crack,
  day,
  db,
  drawing,
  face,
  field,
  fit,
  flame,
  flat,
  groove,
  heat,
  hold,
  instrument,
  job,
  jobPlan,
  lay,
  leak,
  matters,
  mend,
  metal,
  names,
  pages,
  part,
  photo,
  process,
  puddle,
  quantity,
  safety,
  screens,
  server,
  shop,
  solid,
  station,
  stationAsk,
  stationCall,
  stationDay,
  stationHandOver,
  stationHeat,
  stationHold,
  stationKit,
  stationKnow,
  stationLessons,
  stationMend,
  stationOpen,
  stationPictures,
  stationProve,
  stationPuddle,
  stationPull,
  stationRebuild,
  stationShape,
  stationShelf,
  stationTakeIn,
  stationThreads,
  stationWarm,
  stationWeld,
  stores,
  thread,
  warm,
  warp,
  workers,
)

import { STATION_IDS, STATION_NAMES } from '../job/stations.table'

/** Pages beside the stations, as they are spoken of. */
const ROOMS: Readonly<Record<string, string>> = {
  '': 'the shelf',
  day: 'the day',
  kit: 'the kit',
  lessons: 'the lessons',
  threads: 'the threads',
  ask: 'Ask',
  puddle: 'the trainer',
}
const BENCHES: Readonly<Record<string, string>> = {
  pictures: 'Pictures',
  shape: 'the shape',
  heat: 'the heat bench',
  pull: 'the pull bench',
  hold: 'the hold bench',
  puddle: 'the trainer',
  record: 'the record',
  bench: 'the arc',
}

/** Where a screen is, in words, and of which job; null where its path says nothing. */
export function placeWords(
  path: string | null,
  titleOf: (jobId: string) => string | null,
): { place: string; title: string | null } | null {
  if (path === null) return null
  const [, room = '', id, at = ''] = path.split('/')
  if (room !== 'job') return ROOMS[room] === undefined ? null : { place: ROOMS[room], title: null }
  const station = STATION_IDS.find(each => each === at)
  const place = station ? STATION_NAMES[station] : BENCHES[at]
  return place === undefined || id === undefined ? null : { place, title: titleOf(id) }
}

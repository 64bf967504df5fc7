import { STATION_IDS } from '../../core/job/stations.table'

const BESIDE = ['heat', 'pictures', 'puddle', 'pull', 'shape', 'bench', 'record']
const PLAIN = /^\/(?:ask|day|join|kit|lessons|puddle|share|threads|trust)?\/?$/
const JOB = new RegExp(`^/job/[\\w-]+/(?:${[...STATION_IDS, ...BESIDE].join('|')})/?$`)

/** Whether an address is one of the application's pages; any other is not found, and says so. */
export const isPage = (path: string): boolean => {
  const plain = path.split(/[?#]/)[0]!
  return PLAIN.test(plain) || JOB.test(plain)
}

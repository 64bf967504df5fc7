import { coreWorker } from '~/composables/core-worker'
import { lookedFor } from '~/composables/looked-for'

/** Decisions of the open job that a reading nearby would turn. */
export const useNearLines = () => lookedFor((job, kit) => coreWorker().nearLines(job, kit))

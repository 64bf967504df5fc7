/** The version of jobs, files and database that this program writes; `migrate.ts` brings earlier ones up to it. */
export const JOB_VERSION = 7

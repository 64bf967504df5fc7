/** More passes than this are not listed, and nobody lays them by hand. */
export const MOST_PASSES = 1000

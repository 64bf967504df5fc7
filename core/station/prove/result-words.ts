/** What came of a check. */
export const RESULTS = { pass: 'passed', fail: 'failed', 'left-out': 'left out' } as const

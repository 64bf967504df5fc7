/** What this mend says, by code. */
export const words = {
  'cut-lap': 'Cut a patch that reaches well on to sound sheet all round, corners rounded; form it to lie close.',
} as const

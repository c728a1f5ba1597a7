/** Net gains below this many hours (0.04 s) are rounding, for every solver. */
export const slackH = 1e-5

/** Whether a gain is one. */
export const pays = (gainH: number) => gainH > slackH

/** The app speaks this English: days before months, and a clock of 24 hours, whatever the browser is set to. */
export const localeOfApp = 'en-GB'

/**
 * Countries whose public holidays the library `opening_hours` knows; for any other it fails when it is asked, and
 * writes to the console. Source: the library's own tables, held against them by a test.
 */
export const holidayCountries: ReadonlySet<string> = new Set(
  (
    'ar at au be bg br by ca ch ci cn cz de dk ee es fi fr ge gg gi gr hr hu ie im it je jp lt lu lv mc md mt mx na nf ' +
    'nl no nz pl pm pt ro rs ru se si sj sk sm ua us vn xa za'
  ).split(' '),
)

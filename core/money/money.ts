import { z } from 'zod'
import { Fault } from '../validation'

/** More than anything of a kit costs, in the smallest coins: money is counted in whole ones, and never in parts of them. */
export const mostMoney = 1_000_000_000

/** An amount of money, in the smallest coins of its currency. */
export const moneySchema = z.number().int().min(0).max(mostMoney)

/** The currency in which planning values are given. */
export const planningCurrency = 'EUR'

const known = new Set(Intl.supportedValuesOf('currency'))

/** A currency by its three letters (ISO 4217). */
export const currencySchema = z.string().refine((code) => known.has(code), {
  message: 'a currency by its three letters, as in "EUR"',
})

/** How many digits of a currency stand after the point: 2 for most, 0 or 3 for some (ISO 4217). */
export function minorDigits(currency: string): number {
  const { maximumFractionDigits } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
  return maximumFractionDigits ?? 2
}

/** Money in digits alone, as it is typed, to the last coin: 1250 of EUR is "12.50". */
export function moneyAsTyped(money: number, currency: string): Intl.StringNumericLiteral {
  const digits = minorDigits(currency)
  const coins = String(Math.abs(money)).padStart(digits + 1, '0')
  const whole = coins.slice(0, coins.length - digits)
  const parts = digits > 0 ? `.${coins.slice(-digits)}` : ''
  return `${money < 0 ? '-' : ''}${whole}${parts}` as Intl.StringNumericLiteral
}

/** Money in words and digits, as people of a language write it: 1250 of EUR is "€12.50". */
export const formatMoney = (money: number, currency: string, locale = 'en'): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency }).format(moneyAsTyped(money, currency))

/**
 * Reads money as people type it: "12", "12.5", "12,50", "1 250", "1.250,00". Behind the last point or comma stand parts, where
 * no more digits follow than the currency has; three digits behind it are thousands, unless the currency has three itself.
 *
 * @returns the smallest coins
 * @throws Fault where it is no amount of money, less than nothing, or more than anything costs
 */
export function readMoney(text: string, currency: string): number {
  const digits = minorDigits(currency)
  const bare = text.replaceAll(/[\s\u00a0\u202f'’]/g, '').replace(new RegExp(`^${currency}|${currency}$`, 'i'), '')
  const refused = () => new Fault('price', `"${text}"`, `an amount of money such as ${digits > 0 ? '12.50' : '1250'}`)
  const inThousands = /^(?<whole>\d{1,3}(?:(?<mark>[.,])\d{3})(?:\k<mark>\d{3})*)(?:(?!\k<mark>)[.,](?<fraction>\d+))?$/
  const plain = /^(?<whole>\d+)(?:[.,](?<fraction>\d+))?$/
  const read = digits === 3 ? [plain, inThousands] : [inThousands, plain]
  const parts = read.map((form) => form.exec(bare)?.groups).find((groups) => groups !== undefined)
  const { whole, fraction = '' } = parts ?? {}
  if (whole === undefined || fraction.length > digits) throw refused()
  const money = Number(whole.replaceAll(/[.,]/g, '') + fraction.padEnd(digits, '0'))
  if (money > mostMoney) throw new Fault('price', `"${text}"`, `at most ${formatMoney(mostMoney, currency)}`)
  return money
}

import { useRuntimeConfig } from 'nitropack/runtime'
import { LetterLimiter, SignInLimiter, SignUpLimiter } from '../accounts/limits'

export const signInLimiter = new SignInLimiter()
export const letterLimiter = new LetterLimiter()

let signUps: SignUpLimiter | undefined

/** As many accounts an hour from one address as the setting `NUXT_SIGN_UPS_PER_HOUR` says. */
export function signUpLimiter(): SignUpLimiter {
  signUps ??= new SignUpLimiter(useRuntimeConfig().signUpsPerHour)
  return signUps
}

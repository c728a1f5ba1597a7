import { expose } from 'comlink'
import { createAnalyser } from './analyser'

/** Where ledgers are sent as they are written, beside what is answered: the page need not hand them on. */
let toChooser: MessagePort | undefined
const service = {
  ...createAnalyser((written) => toChooser?.postMessage(written)),
  sendLedgers(port: MessagePort): void {
    toChooser = port
  },
}
export type AnalysisService = typeof service

expose(service)

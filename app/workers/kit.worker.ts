import { expose } from 'comlink'
import { createKitChooser, type WrittenLedger } from './kit-chooser'

const chooser = createKitChooser()

/** Ledgers come to be made ready straight from where they are written. */
function hearLedgers(port: MessagePort): void {
  port.onmessage = ({ data }: MessageEvent<WrittenLedger>) => chooser.makeReady(data)
}

const service = { ...chooser, hearLedgers }
export type KitService = typeof service

expose(service)

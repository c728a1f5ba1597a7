import { expose } from 'comlink'
import { createKitChooser, type ToldAhead, type WrittenLedger } from './kit-chooser'

const chooser = createKitChooser()

/** Ledgers come to be made ready straight from where they are written. @param tell hears what the kit comes to by them */
function hearLedgers(port: MessagePort, tell: (told: ToldAhead) => void): void {
  port.onmessage = ({ data: written }: MessageEvent<WrittenLedger>) => {
    const kit = chooser.makeReady(written)
    if (kit) tell({ number: written.number, kit, gramsPerHour: written.ledger.gramsPerHour })
  }
}

const service = { ...chooser, hearLedgers }
export type KitService = typeof service

expose(service)

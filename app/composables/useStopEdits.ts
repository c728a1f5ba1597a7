import { serviceSchema, withoutProposal, withProposals, type Proposal, type Service, type Stop } from '#core/supply'
import { moveStop, withoutStop } from '#core/trip'
import { useTripStore } from '../stores/trip'

/** Changes to stops, each a step that can be taken back. */
export function useStopEdits() {
  const store = useTripStore()

  function change(stop: Stop, part: Partial<Omit<Stop, 'roadKm'>>, label: string, merge?: string) {
    const next = store.openTrip.stops.map((other) => (other.id === stop.id ? { ...other, ...part } : other))
    store.edit(label, { stops: next }, merge)
  }

  function move(stop: Stop, roadKm: number, merge?: string) {
    store.edit(`move ${stop.name}`, moveStop(store.openTrip, stop, roadKm), merge)
  }

  function changeService(stop: Stop, kind: string, part: Partial<Service>, label: string) {
    const services = stop.services.map((service) => (service.kind === kind ? { ...service, ...part } : service))
    change(stop, { services }, label)
  }

  function toggleService(stop: Stop, kind: string, name: string) {
    const has = stop.services.some((service) => service.kind === kind)
    const services = has
      ? stop.services.filter((service) => service.kind !== kind)
      : [...stop.services, serviceSchema.parse({ kind })]
    change(stop, { services }, `${has ? 'no' : 'a'} ${name} at ${stop.name}`)
  }

  function remove(stop: Stop) {
    store.edit(`remove ${stop.name}`, withoutStop(store.openTrip, stop.id))
  }

  function takeProposals(proposals: readonly Proposal[], label: string) {
    store.edit(label, { stops: withProposals(store.openTrip.stops, proposals) })
  }

  function ruleOut(proposal: Proposal, name: string) {
    const { ruledOut } = withoutProposal(proposal)
    change(proposal.stop, { ruledOut }, `no ${name} at ${proposal.stop.name}`)
  }

  return { takeProposals, ruleOut, change, move, changeService, toggleService, remove }
}

import { mostOfAThing, type CatalogueItem } from '#core/bench'
import { planningCurrency } from '#core/money'
import { ownedFrom, ownedThingSchema, type OwnedThing } from '#core/shed'
import { computed } from 'vue'
import { useShed } from '../stores/shed'

/** Putting things into the shed and taking them out. */
export function useShedEdits() {
  const shed = useShed()
  /** Whoever pays in one currency goes on in it. */
  const currency = computed(() => shed.things.value.at(-1)?.currency ?? planningCurrency)
  const newId = () => crypto.randomUUID()

  /** One more of a thing of the catalogue: of the first that is there, else a new one. */
  function take(item: CatalogueItem): Promise<void> {
    const known = shed.things.value.find(({ from }) => from === item.id)
    const next = known
      ? { ...known, count: Math.min(mostOfAThing, known.count + 1) }
      : ownedFrom(item, newId(), currency.value)
    return shed.put(`put ${item.name} into the shed`, [next])
  }
  /** One fewer of it. */
  async function putBack(item: CatalogueItem): Promise<void> {
    const known = shed.things.value.find(({ from }) => from === item.id)
    if (!known) return
    if (known.count === 1) await shed.remove(known)
    else await shed.put(`take one ${item.name} out of the shed`, [{ ...known, count: known.count - 1 }])
  }
  const blank = (): OwnedThing => ({
    ...ownedThingSchema.parse({ id: newId(), name: 'mine', massG: 50, currency: currency.value }),
    name: '',
  })
  /** What was read from a scale. */
  function weigh(id: string, massG: number): Promise<void> {
    const thing = shed.byId.value.get(id)
    if (!thing) return Promise.resolve()
    return shed.put(`weigh ${thing.name}`, [{ ...thing, massG, isWeighed: true }])
  }
  return { currency, take, putBack, blank, weigh, newId }
}

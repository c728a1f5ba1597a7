import { BedDouble, Bike, Droplet, Fuel, Hammer, Mail, MapPin, Tent, Utensils, Wrench } from '@lucide/vue'
import type { Component } from 'vue'

const icons: Readonly<Record<string, Component>> = {
  'bike-shop': Bike,
  workshop: Wrench,
  'hardware-store': Hammer,
  'outdoor-shop': Tent,
  supermarket: Utensils,
  'fuel-station': Fuel,
  post: Mail,
  water: Droplet,
  bed: BedDouble,
}

/** The sign of a kind of service; its name always stands beside it. */
export const serviceIcon = (kind: string): Component => icons[kind] ?? MapPin

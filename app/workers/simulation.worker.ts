import { expose } from 'comlink'
import { drawTrips } from './drawer'

const service = { drawTrips }
export type SimulationService = typeof service
expose(service)

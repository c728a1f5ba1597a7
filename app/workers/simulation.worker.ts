import { expose } from 'comlink'
import { compareSideBySide, drawTrips } from './drawer'

const service = { drawTrips, compareSideBySide }
export type SimulationService = typeof service
expose(service)

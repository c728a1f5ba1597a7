import { expose } from 'comlink'
import { createWayfinder } from './wayfinder'

expose(createWayfinder())

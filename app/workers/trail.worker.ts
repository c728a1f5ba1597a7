import { expose } from 'comlink'
import { createTrailGuide } from './trail-guide'

expose(createTrailGuide())

import { expose } from 'comlink'
import { createAnalyser } from './analyser'

expose(createAnalyser())

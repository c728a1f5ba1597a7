import { expose } from 'comlink'
import { createSplitter } from './splitter'

expose(createSplitter())

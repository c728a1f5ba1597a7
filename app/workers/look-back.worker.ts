import { expose } from 'comlink'
import { createLookBack } from './look-back'

expose(createLookBack())

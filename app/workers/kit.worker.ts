import { expose } from 'comlink'
import { createKitChooser } from './kit-chooser'

expose(createKitChooser())

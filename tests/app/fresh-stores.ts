import { createPinia, setActivePinia } from 'pinia'
import { beforeEach } from 'vitest'

// Each test begins with stores that nobody has used.
beforeEach(() => setActivePinia(createPinia()))

import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { writeLine } from '#core/scale'
import { defineComponent } from 'vue'
import { useScale } from '../../app/composables/useScale'
import type { Scale } from '../../app/scale/scale'

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['performance', 'setInterval', 'clearInterval'] })
})
afterEach(() => {
  vi.useRealTimers()
})

it('what a scale says that nobody understands stays to be read, though good lines follow at once', () => {
  let say: (line: string) => void = () => undefined
  const scale: Scale = {
    name: 'a scale of the test',
    connect(line) {
      say = line
      return { tare: () => undefined, close: () => undefined }
    },
  }
  const wrapper = mount(
    defineComponent({
      setup: () => useScale(scale),
      template: '<p />',
    }),
  )
  say(writeLine('steady', 0))
  expect(wrapper.vm.fault).toBe('')
  say('S +93,4 oz')
  expect(wrapper.vm.fault).toContain('expected a line such as')
  expect(wrapper.vm.weighing.settledG).toBeNull()
  for (let line = 0; line < 40; line++) {
    vi.advanceTimersByTime(100)
    say(writeLine('steady', 0))
  }
  expect(wrapper.vm.fault).toContain('expected a line such as')
  for (let line = 0; line < 12; line++) {
    vi.advanceTimersByTime(100)
    say(writeLine('steady', 0))
  }
  expect(wrapper.vm.fault).toBe('')
  wrapper.unmount()
})

import { shallowRef } from 'vue'

/** A GPX file that was dropped where there is no road yet, on its way to the trip that is made for it. */
export const incomingFile = shallowRef<File>()

import { answering } from '../../http/answers'
import { letterBox } from '../../http/post'

/** The letters that the demo would have sent; there is no such box outside the demo. */
export default answering(async () => {
  const box = letterBox()
  if (!box) throw createError({ statusCode: 404, statusMessage: 'Not Found' })
  return box.all()
})

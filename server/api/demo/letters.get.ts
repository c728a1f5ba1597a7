import { answering } from '../../http/answers'
import { letterBox } from '../../http/post'
import { httpError } from '../../http/http-error'

/** The letters that the demo would have sent; there is no such box outside the demo. */
export default answering(async () => {
  const box = letterBox()
  if (!box) throw httpError(404, 'Not Found')
  return box.all()
})

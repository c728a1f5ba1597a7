import { answering } from '../../http/error-answers'
import { httpError } from '../../http/http-error'
import { letterBox } from '../../http/mail'

/** The letters that the demo would have sent; there is no such box outside the demo. */
export default answering(async () => {
  const box = letterBox()
  if (!box) throw httpError(404, 'Not Found')
  return box.all()
})

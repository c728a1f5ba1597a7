import { defineEventHandler } from 'h3'

/** So long the rest of a body that nobody reads may go on coming in. */
const patienceMs = 10_000

/**
 * A request is answered without its body having been read: somebody is not signed in, or it is too long. What still
 * comes in is dropped, so that the answer gets through to who is sending; whoever goes on and on is cut off.
 */
export default defineEventHandler(({ node: { req, res } }) => {
  res.once('finish', () => {
    if (req.complete) return
    req.resume()
    const cut = setTimeout(() => req.socket.destroy(), patienceMs)
    req.once('close', () => clearTimeout(cut))
  })
})

import { FetchError } from 'ofetch'

/** What the server said was wrong, one line for each thing. */
export function linesOf(error: unknown): string[] {
  if (error instanceof FetchError) {
    const lines = (error.data as { data?: { lines?: string[] } } | undefined)?.data?.lines
    if (lines?.length) return lines
    if (error.statusCode === undefined) return ['The server does not answer. Nothing is lost here; try again.']
    return [`The server answered ${error.statusCode}. Try again.`]
  }
  return (error instanceof Error ? error.message : String(error)).split('\n')
}

export const statusOf = (error: unknown) => (error instanceof FetchError ? error.statusCode : undefined)

interface Request {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'
  readonly body?: object
  readonly signal?: AbortSignal
  readonly headers?: Record<string, string>
  /** How often it is asked again where no answer comes. */
  readonly retry?: number
}

/** Asks the server; the caller says what the answer is. */
export function api<T>(path: string, request: Request = {}): Promise<T> {
  return $fetch<T, string>(path, { ...request, parseResponse })
}

/** Answers are JSON, and a trip may be megabytes of it; what is none comes from something between here and the server. */
function parseResponse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return text
  }
}

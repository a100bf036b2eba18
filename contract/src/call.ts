import { CallError } from './callError.ts'
import type { ProblemDocument } from './problemDocument.ts'

/**
 * Calls the server through a `fetch`.
 *
 * @throws {CallError} with the server's code and problems, or `offline`
 */
export async function call(
  fetcher: typeof fetch,
  method: string,
  url: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<unknown> {
  let response: Response
  try {
    response = await fetcher(url, {
      method,
      ...(body !== undefined && {
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json', ...headers },
      }),
    })
  } catch (cause) {
    throw new CallError('offline', 'The server cannot be reached.', [], cause)
  }
  const data: unknown = await response.json().catch(() => undefined)
  if (response.ok) return data
  const problem = data as ProblemDocument | undefined
  // A proxy in between answers without a problem document when the server is down.
  if (!problem?.code)
    throw new CallError(response.status >= 502 ? 'offline' : 'unexpected', `The server answered ${response.status}.`)
  throw new CallError(problem.code, problem.detail, problem.problems, undefined, problem.instance)
}

import { expect, it } from 'vitest'
import { errorStatus, retryable, type ErrorCode } from '@esfuerzo/contract'

it('a request is retried if the server is unreachable, busy or restarting, and never otherwise', () => {
  const codes = Object.keys(errorStatus) as ErrorCode[]
  // What a later try may find otherwise, by the meaning of its status (RFC 9110, 15.6; RFC 6585, 4), and no codes a page makes itself.
  const byStatus = codes.filter(
    (code) => errorStatus[code] >= 500 || code === 'too-many-tries' || code === 'newer-document',
  )
  expect(codes.filter((code) => retryable(code)).sort()).toEqual(byStatus.sort())
  expect(retryable('offline')).toBe(true)
})

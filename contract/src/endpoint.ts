import { z } from 'zod'

/** Who may call: anyone, a signed-in teacher (about her own data), or the holder of a family token. */
export type Access = 'anyone' | 'teacher' | 'family'

/** One route: path, access, request and response. The server's handlers and the client are made from it. */
export interface Endpoint {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** With `:name` for each param. */
  path: string
  access: Access
  params: z.ZodType
  query: z.ZodType
  body: z.ZodType
  answer: z.ZodType
}

/** Empty if there is nothing. */
export const none = z.strictObject({})

/**
 * Declares a route. Without `body` or `query` it takes none.
 *
 * @example endpoint({ method: 'GET', path: '/api/me', access: 'teacher', answer: teacherSchema })
 */
export const endpoint = <
  A extends z.ZodType,
  P extends z.ZodType = typeof none,
  Q extends z.ZodType = typeof none,
  B extends z.ZodType = typeof none,
>(e: {
  method: Endpoint['method']
  path: string
  access: Access
  answer: A
  params?: P
  query?: Q
  body?: B
}) => ({ params: none as unknown as P, query: none as unknown as Q, body: none as unknown as B, ...e })

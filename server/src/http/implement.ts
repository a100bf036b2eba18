import type { NextFunction, Request, RequestHandler, Response, Router } from 'express'
import type {} from 'express-session'
import type { z } from 'zod'
import { allDocumentKinds, writtenCarried, zodProblems } from '@esfuerzo/core'
import { endpoints, type EndpointName, type Endpoints } from '@esfuerzo/contract'
import { codeOf, ServerError } from './serverError.ts'

/** What a handler gets: everything is checked against the contract already. */
export interface Call<N extends EndpointName> {
  params: z.output<Endpoints[N]['params']>
  query: z.output<Endpoints[N]['query']>
  body: z.output<Endpoints[N]['body']>
  /** Id of the signed-in teacher; empty on routes that need no teacher. */
  teacherId: string
  req: Request
  res: Response
}

export type Answer<N extends EndpointName> = z.input<Endpoints[N]['answer']>

function checked<S extends z.ZodType>(schema: S, data: unknown, where: string): z.output<S> {
  const result = schema.safeParse(data ?? {})
  if (result.success) return result.data
  const problems = zodProblems(result.error, data)
  throw new ServerError(
    codeOf(problems),
    where === 'body' ? problems : problems.map((p) => ({ ...p, path: [where, ...p.path] })),
  )
}

/**
 * Adds a route of the contract to a router: validates the request, calls the handler, validates the answer. A handler that has answered by
 * itself returns undefined.
 */
export function implement<N extends EndpointName>(
  router: Router,
  name: N,
  handler: (call: Call<N>) => Promise<Answer<N> | undefined>,
): void {
  const endpoint = endpoints[name]
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
  const run: RequestHandler = async (req: Request, res: Response, next: NextFunction) => {
    try {
      const teacherId = req.session?.teacherId ?? ''
      if (endpoint.access === 'teacher' && !teacherId) throw new ServerError('sign-in-needed')
      const answer = await handler({
        params: checked(endpoint.params, req.params, 'address'),
        query: checked(endpoint.query, req.query, 'query'),
        body: checked(endpoint.body, req.body, 'body'),
        teacherId,
        req,
        res,
      } as Call<N>)
      if (answer !== undefined) res.json(writtenCarried(allDocumentKinds, endpoint.answer.parse(answer)))
    } catch (error) {
      next(error)
    }
  }
  router[method](endpoint.path, run)
}

declare module 'express-session' {
  interface SessionData {
    teacherId: string
  }
}

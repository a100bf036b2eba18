import { afterEach, expect, it, vi } from 'vitest'
import { errorsInEnglish } from '@esfuerzo/contract'
import { client } from '../src/shared/client.ts'
import { i18n } from '../src/words/i18n.ts'

const answer = (status: number, body: object) =>
  vi.spyOn(globalThis, 'fetch').mockResolvedValue(new Response(JSON.stringify(body), { status }))
const problem = (code: string, instance: string) => ({ type: '', title: '', status: 500, code, detail: '', instance })
afterEach(() => vi.restoreAllMocks())

it('a server error is worded with its log number; a refusal is not', async () => {
  const { title, detail } = errorsInEnglish.unexpected
  answer(401, problem('sign-in-needed', 'aaaaaaaa-0000-4000-8000-000000000000'))
  await expect(client('me', {})).rejects.toMatchObject({ code: 'sign-in-needed' })
  expect(i18n.global.t('errors.unexpected')).toBe(`${title}. ${detail}`)
  answer(500, problem('unexpected', '69756159-2182-4f8f-a7aa-000000000000'))
  await expect(client('me', {})).rejects.toMatchObject({ code: 'unexpected' })
  expect(i18n.global.t('errors.unexpected')).toBe(`${title}. ${detail} Error number: 69756159.`)
  expect(i18n.global.t('errors.busy')).not.toContain('69756159')
  // The next error has its own number, or none if a proxy in between has answered.
  answer(500, {})
  await expect(client('me', {})).rejects.toMatchObject({ code: 'unexpected' })
  expect(i18n.global.t('errors.unexpected')).toBe(`${title}. ${detail}`)
})

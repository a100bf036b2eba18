import { describe, expect, it } from 'vitest'
import { addressIn } from '../src/mail/addressIn.ts'

describe('an address in a text', () => {
  it.each([
    'https://shop.example.com',
    'HTTP://SHOP.EXAMPLE',
    'see shop.example.com now',
    'www.shop.com',
    '//shop.com/x',
    'ftp://shop.com',
    'shop\u200b.com',
    'sh\u00adop.c\u2060om',
    '\uff53\uff48\uff4f\uff50\uff0e\uff43\uff4f\uff4d',
    'shop\u3002com',
    'https:\u2044\u2044shop.com',
    'магазин.рф',
    'write to me@shop.com',
    '192.0.2.7/win',
  ])('%s is found', (words) => expect(addressIn(`Hello. ${words} Bye.`)).toBeDefined())

  it.each([
    'Springs on Monday: 3.5 rounds. Then rest',
    'Grade 2b, 20 s each side. No jumps upstairs!',
    'Kit: chair, sock. 10/10 is fine; 1/2 is too.',
    'Bring a bottle (0.5 l) … see you at 8.30',
    'Mr. Tern, a.m. and p.m.',
  ])('%s has none', (words) => expect(addressIn(words)).toBeUndefined())
})

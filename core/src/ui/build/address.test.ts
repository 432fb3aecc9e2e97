import { findSafeAddress } from './address.js'

test.each([
  ['https://tidewrack.example/a?b=1#c', 'https://tidewrack.example/a?b=1#c'],
  ['HTTP://tidewrack.example', 'HTTP://tidewrack.example'],
  ['mailto:rota@tidewrack.example', 'mailto:rota@tidewrack.example'],
  ['tel:+0', 'tel:+0'],
  ['/rota', '/rota'],
  ['./rota', './rota'],
  ['#top', '#top'],
  ['tidewrack.example/rota', 'https://tidewrack.example/rota'],
  ['javascript:alert(1)', undefined],
  [' java\tscript:alert(1)', undefined],
  ['\u0001javascript:alert(1)', undefined],
  ['data:text/html,x', undefined],
  ['vbscript:x', undefined],
  ['//evil.example', undefined],
  ['file:///etc/passwd', undefined],
  ['', undefined],
])('%j gives %j', (url, safe) => expect(findSafeAddress(url)).toBe(safe))

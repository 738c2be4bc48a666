import { describe, expect, it } from 'vitest'
import { isOurs, isTyping } from './typing'

/** What a handler on the window hears of a key that is pressed on something. */
function pressed(on: HTMLElement, init: KeyboardEventInit = {}) {
  document.body.append(on)
  let heard: KeyboardEvent | undefined
  window.addEventListener('keydown', (event) => (heard = event), { once: true })
  on.dispatchEvent(new KeyboardEvent('keydown', { key: '5', bubbles: true, ...init }))
  on.remove()
  return heard!
}

describe('keys', () => {
  it.each(['input', 'textarea', 'select'])('belong to a %s while somebody is in it', (tag) => {
    const event = pressed(document.createElement(tag))
    expect(isTyping(event)).toBe(true)
    expect(isOurs(event)).toBe(false)
  })

  it('are ours on anything else', () => {
    expect(isOurs(pressed(document.createElement('button')))).toBe(true)
  })

  it('are not ours together with a key of the browser', () => {
    for (const shortcut of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }])
      expect(isOurs(pressed(document.createElement('main'), shortcut))).toBe(false)
  })
})

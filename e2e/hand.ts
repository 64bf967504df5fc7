import type { Locator, Page } from '@playwright/test'

/** A hand that does what labels say, and counts what it takes: presses of the mouse or a finger, and keys. */
export class Hand {
  presses = 0
  keys = 0
  constructor(
    readonly page: Page,
    readonly finger = false,
  ) {}
  async press(what: Locator) {
    this.presses++
    await (this.finger ? what.tap() : what.click())
  }
  async type(text: string) {
    this.keys += text.length
    await this.page.keyboard.type(text)
  }
  async key(name: string) {
    this.keys++
    await this.page.keyboard.press(name)
  }
}

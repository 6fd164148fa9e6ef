import type { Locator, Page } from 'playwright-core';

/** How long a cook takes with wet hands: one touch, one key, one scroll, one second that something is held. */
export const PACE = { touch: 0.6, key: 0.25, scroll: 0.6, held: 1 };

/** What a task cost the hands. Seconds are those at that pace, not those of the machine. */
export interface Cost {
  readonly touches: number;
  readonly keys: number;
  readonly scrolls: number;
  readonly seconds: number;
}

/**
 * One hand at a tablet, which counts what it does. What lies out of sight is scrolled to first, and that counts; what has to be read
 * or waited for does not. Laying fish on a scale and holding a label to a scanner touch no glass.
 */
export class Hand {
  touches = 0;
  keys = 0;
  scrolls = 0;
  held = 0;
  constructor(readonly page: Page) {}

  cost(): Cost {
    const { touches, keys, scrolls, held } = this;
    const seconds = touches * PACE.touch + keys * PACE.key + scrolls * PACE.scroll + held * PACE.held;
    return { touches, keys, scrolls, seconds: Math.round(seconds * 10) / 10 };
  }

  private at = (what: string | Locator): Locator => (typeof what === 'string' ? this.page.locator(what).first() : what);

  /** Brings it into sight. */
  private async seek(target: Locator): Promise<void> {
    await target.waitFor({ state: 'attached' });
    const box = await target.boundingBox();
    const height = this.page.viewportSize()!.height;
    if (box && box.y >= 0 && box.y + Math.min(box.height, 40) <= height) return;
    this.scrolls++;
    await target.scrollIntoViewIfNeeded();
  }

  async touch(what: string | Locator): Promise<void> {
    const target = this.at(what);
    await this.seek(target);
    this.touches++;
    await target.click();
  }

  /** Touches a field and types into it; what stood there goes first. */
  async type(what: string | Locator, text: string): Promise<void> {
    const target = this.at(what);
    await this.seek(target);
    this.touches++;
    this.keys += text.length;
    await target.click();
    await target.fill(text);
  }

  /** Types where the eye already is. */
  async write(text: string): Promise<void> {
    this.keys += text.length;
    await this.page.keyboard.type(text);
  }

  async key(key: string): Promise<void> {
    this.keys++;
    await this.page.keyboard.press(key);
    // A hand is slower than a scanner.
    await this.page.waitForTimeout(150);
  }

  /** Holds a label to the scanner, which types it: no touch, no key. */
  async scan(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Enter');
  }

  /** Opens a list and picks from it; nothing where it stands so already. */
  async choose(what: string | Locator, value: string): Promise<void> {
    const target = this.at(what);
    if ((await target.inputValue()) === value) return;
    await this.seek(target);
    this.touches += 2;
    await target.selectOption(value);
  }

  /** Holds something down for the second it asks for. */
  async hold(what: string | Locator): Promise<void> {
    const target = this.at(what);
    await this.seek(target);
    this.touches++;
    this.held++;
    await target.hover();
    await this.page.mouse.down();
    await this.page.waitForTimeout(1300);
    await this.page.mouse.up();
  }

  /** Waits until it shows: the eye's work, not the hand's. */
  async sees(selector: string): Promise<void> {
    await this.page.locator(selector).first().waitFor();
  }
}

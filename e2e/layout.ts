import type { Page } from '@playwright/test'

/**
 * What a reader could not make out on the page as it stands: text that is cut, off the page, on other text or too faint
 * (WCAG 2.2, 1.4.3: 4.5 : 1, large text 3 : 1), and controls that lie on one another or beside the page. What scrolls
 * sideways by itself, what is closed or waits to be scrolled to, and what floats over the page (menus, the strip, the
 * clock bar) is measured among its own.
 */
export const misplaced = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    interface Box {
      left: number
      top: number
      right: number
      bottom: number
    }
    type Colour = [red: number, green: number, blue: number, alpha: number]
    const found = new Set<string>()
    const style = (element: Element) => getComputedStyle(element)
    const ups = (element: Element) => {
      const list: Element[] = []
      for (let at: Element | null = element; at; at = at.parentElement) list.push(at)
      return list
    }
    const opacity = (element: Element) => ups(element).reduce((share, each) => share * Number(style(each).opacity), 1)
    const seen = (element: Element) =>
      element.checkVisibility({ visibilityProperty: true, contentVisibilityAuto: true }) &&
      !element.closest('details:not([open]) > :not(summary), [inert], .visually-hidden') &&
      !ups(element).some(each => style(each).clip === 'rect(0px, 0px, 0px, 0px)') &&
      opacity(element) > 0.02
    const meet = (a: Box, b: Box): Box => ({
      left: Math.max(a.left, b.left),
      top: Math.max(a.top, b.top),
      right: Math.min(a.right, b.right),
      bottom: Math.min(a.bottom, b.bottom),
    })
    const wide = (box: Box) => box.right - box.left
    const high = (box: Box) => box.bottom - box.top
    /** What clips it, and whether it can be scrolled to sideways. */
    function holder(element: Element) {
      let box: Box = { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity }
      let scrolled = false
      for (const each of ups(element)) {
        const { overflowX, overflowY, display } = style(each)
        // What is laid out in a line clips nothing.
        if (display === 'inline') continue
        if (overflowX === 'visible' && overflowY === 'visible') continue
        if (/auto|scroll/.test(overflowX) && each.scrollWidth > each.clientWidth + 1) scrolled = true
        box = meet(box, each.getBoundingClientRect())
      }
      return { box, scrolled }
    }
    const floats = (element: Element) =>
      ups(element).find(each => ['fixed', 'sticky'].includes(style(each).position)) ?? null
    const short = (text: string) => JSON.stringify(text.trim().replace(/\s+/g, ' ').slice(0, 40))

    const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!
    const colourOf = (css: string): Colour => {
      canvas.clearRect(0, 0, 1, 1)
      canvas.fillStyle = css
      canvas.fillRect(0, 0, 1, 1)
      const [red, green, blue, alpha] = canvas.getImageData(0, 0, 1, 1).data
      return [red!, green!, blue!, alpha! / 255]
    }
    const over = (top: Colour, under: Colour): Colour => [
      ...([0, 1, 2].map(n => top[n]! * top[3] + under[n]! * (1 - top[3])) as [number, number, number]),
      1,
    ]
    const luminance = (colour: Colour) => {
      const [red, green, blue] = colour
        .slice(0, 3)
        .map(value => (value / 255 <= 0.03928 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4))
      return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!
    }
    const ratio = (a: Colour, b: Colour) => {
      const [light, dark] = [luminance(a), luminance(b)].toSorted((x, y) => y - x)
      return (light! + 0.05) / (dark! + 0.05)
    }
    /** What lies behind it: of a letter in a drawing with a rim, the rim; else the shapes under it, then the boxes. */
    function behind(element: Element, box: Box): Colour {
      const layers: Colour[] = []
      if (element.closest('svg')) {
        const own = style(element)
        if (own.paintOrder.startsWith('stroke') && own.stroke !== 'none') return colourOf(own.stroke)
        const middle = new DOMPoint((box.left + box.right) / 2, (box.top + box.bottom) / 2)
        const drawn = [...element.closest('svg')!.querySelectorAll('path, rect, circle, ellipse, polygon')].filter(
          each => each instanceof SVGGeometryElement && element.compareDocumentPosition(each) & 2,
        ) as SVGGeometryElement[]
        for (const each of drawn.toReversed()) {
          const { fill, fillOpacity } = style(each)
          if (fill === 'none' || fill.startsWith('url') || !seen(each)) continue
          const matrix = each.getScreenCTM()
          if (!matrix || !each.isPointInFill(middle.matrixTransform(matrix.inverse()))) continue
          const colour = colourOf(fill)
          layers.push([colour[0], colour[1], colour[2], colour[3] * Number(fillOpacity) * opacity(each)])
        }
      }
      for (const each of ups(element)) layers.push(colourOf(style(each).backgroundColor))
      return layers.toReversed().reduce((under, layer) => over(layer, under), [255, 255, 255, 1] as Colour)
    }

    interface Said {
      text: string
      element: Element
      box: Box
    }
    const texts: Said[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement
      const text = node.textContent!
      if (!text.trim() || !element || /^(script|style|noscript|option|title|desc)$/i.test(element.tagName)) continue
      if (!seen(element)) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      const boxes = [...range.getClientRects()].filter(box => box.width > 0.5 && box.height > 0.5)
      const { box: held, scrolled } = holder(element)
      const shown = boxes.map(box => meet(box, held)).filter(box => wide(box) > 1 && high(box) > 1)
      for (const box of shown) texts.push({ text, element, box })
      if (!shown.length) continue
      const side = boxes.find(box => box.right > innerWidth + 1 || box.left < -1)
      if (side && !scrolled) found.add(`off the page: ${short(text)}`)
      else if (!scrolled && boxes.some(box => box.right > held.right + 1.5 || box.left < held.left - 1.5))
        found.add(`cut: ${short(text)}`)
      if (element.closest('[disabled], [aria-disabled="true"], .v-field--disabled')) continue
      const { color, fill, fontSize, fontWeight } = style(element)
      const own = colourOf(element.closest('svg') ? fill : color)
      const back = behind(element, shown[0]!)
      const told = ratio(over([own[0], own[1], own[2], own[3] * opacity(element)], back), back)
      const large = parseFloat(fontSize) >= 24 || (parseFloat(fontSize) >= 18.66 && Number(fontWeight) >= 700)
      if (told < (large ? 3 : 4.5) - 0.01) found.add(`faint, ${told.toFixed(2)} : 1: ${short(text)}`)
    }
    texts.sort((a, b) => a.box.top - b.box.top)
    texts.forEach((one, n) => {
      for (const other of texts.slice(n + 1)) {
        if (other.box.top >= one.box.bottom) break
        if (one.element === other.element || floats(one.element) !== floats(other.element)) continue
        const both = meet(one.box, other.box)
        if (wide(both) > 3 && high(both) > 0.35 * Math.min(high(one.box), high(other.box)))
          found.add(`on one another: ${short(one.text)} and ${short(other.text)}`)
      }
    })

    const named = (element: HTMLElement) =>
      short(element.getAttribute('aria-label') || element.innerText || element.dataset.path || element.className)
    const controls = [...document.querySelectorAll<HTMLElement>('button, a[href], input, select, textarea, .balloon')]
      .filter(each => seen(each) && !(each instanceof HTMLInputElement && each.type === 'range'))
      .map(element => {
        const { box: held, scrolled } = holder(element)
        return { element, scrolled, whole: element.getBoundingClientRect(), held }
      })
      .map(each => ({ ...each, box: meet(each.whole, each.held), floats: floats(each.element) }))
      .filter(({ box }) => wide(box) > 3 && high(box) > 3)
    controls.forEach((one, n) => {
      if (!one.scrolled && (one.whole.right > innerWidth + 1 || one.whole.left < -1))
        found.add(`off the page: ${named(one.element)}`)
      for (const other of controls.slice(n + 1)) {
        if (one.element.contains(other.element) || other.element.contains(one.element)) continue
        if (one.floats !== other.floats) continue
        const field = one.element.closest('.v-field')
        if (field && field === other.element.closest('.v-field')) continue
        const both = meet(one.box, other.box)
        if (wide(both) > 2 && high(both) > 2)
          found.add(`on one another: ${named(one.element)} and ${named(other.element)}`)
      }
    })
    return [...found]
  })

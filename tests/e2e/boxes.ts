import type { Page } from '@playwright/test'

/**
 * What is wrong with the boxes of a page as it stands, one line for each: text that is cut so that it says nothing, text that
 * lies over other text, what can be pressed lying over something else to press, and anything that has to be scrolled sideways.
 * An open dialog or menu is measured by itself.
 */
export function boxFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    /** Of a name that is cut at its end, so many letters tell it from others. */
    const lettersThatTell = 16
    /** Boxes of letters are a little higher than the letters. */
    const slackPx = { across: 2, down: 4 }
    interface Piece {
      readonly element: Element
      readonly words: string
      readonly rects: readonly DOMRect[]
    }
    const dialogs = [...document.querySelectorAll('[role="dialog"], [role="menu"]')]
    const scope = dialogs.at(-1) ?? document.body
    const faults = new Set<string>()
    const short = (words: string) => words.replace(/\s+/g, ' ').trim().slice(0, 50)

    /** What is asked of many elements again and again is found out once. */
    function known<T>(find: (element: Element) => T): (element: Element) => T {
      const found = new Map<Element, T>()
      return (element) => {
        const before = found.get(element)
        if (before !== undefined) return before
        const value = find(element)
        found.set(element, value)
        return value
      }
    }
    const ancestorsOf = known((element): readonly Element[] => {
      const { parentElement } = element
      return parentElement && element !== document.body ? [element, ...ancestorsOf(parentElement)] : [element]
    })
    const styleOf = known((element) => {
      const { overflowX, overflowY, position, textOverflow, transform, rotate } = getComputedStyle(element)
      const isTurned = rotate !== 'none' || (transform !== 'none' && new DOMMatrix(transform).b !== 0)
      return { overflowX, overflowY, position, textOverflow, isTurned }
    })
    const boxOf = known((element) => element.getBoundingClientRect())
    const isThere = ({ width, height }: DOMRect) => width > 1 && height > 1
    /** What is said to a screen reader alone lies in a box of one pixel. */
    const isForReadersOnly = (element: Element) =>
      ancestorsOf(element).some(
        (at) => at instanceof HTMLElement && boxOf(at).width <= 1 && styleOf(at).overflowX === 'hidden',
      )
    const isSeen = known(
      (element) =>
        element.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) && !isForReadersOnly(element),
    )
    const scrolls = known((element) => {
      const { overflowX, overflowY } = styleOf(element)
      return /auto|scroll/.test(overflowX) || /auto|scroll/.test(overflowY)
    })
    const scrollsAcross = known(
      (element) => /auto|scroll/.test(styleOf(element).overflowX) && element.scrollWidth > element.clientWidth + 1,
    )
    /** What scrolls together, and what floats over it, are layers of their own. */
    const layerOf = known(
      (element) =>
        ancestorsOf(element).find((at) => scrolls(at) || /sticky|fixed/.test(styleOf(at).position)) ?? document.body,
    )

    function piecesIn(root: Element): Piece[] {
      const pieces: Piece[] = []
      const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const element = node.parentElement
        const words = node.textContent ?? ''
        if (!element || !words.trim() || !isSeen(element) || element.closest('option, title, script, style')) continue
        const range = document.createRange()
        range.selectNodeContents(node)
        const rects = [...range.getClientRects()].filter(isThere)
        if (rects.length > 0) pieces.push({ element, words, rects })
      }
      return pieces
    }

    function cutOf({ element, words, rects }: Piece): string | undefined {
      const [left, right] = [Math.min(...rects.map((r) => r.left)), Math.max(...rects.map((r) => r.right))]
      const bottom = Math.max(...rects.map((r) => r.bottom))
      for (const at of ancestorsOf(element)) {
        const style = styleOf(at)
        const box = boxOf(at)
        if (/hidden|clip/.test(style.overflowX) && (right > box.right + 1 || left < box.left - 1)) {
          const share = Math.max(0, Math.min(right, box.right) - Math.max(left, box.left)) / (right - left)
          const letters = Math.floor(share * words.trim().length)
          const tells = style.textOverflow === 'ellipsis' && letters >= Math.min(lettersThatTell, words.trim().length)
          if (!tells) return `cut after ${letters} letters: “${short(words)}”`
        }
        if (/hidden|clip/.test(style.overflowY) && bottom > box.bottom + slackPx.down) {
          return `cut below: “${short(words)}”`
        }
        if (scrolls(at)) return undefined
      }
      return undefined
    }

    /** As much of some boxes as is not cut off. */
    function shownOf({ element, rects }: Piece): DOMRect[] {
      let shown: DOMRect[] = [...rects]
      for (const at of ancestorsOf(element)) {
        if (scrolls(at)) break
        if (!/hidden|clip/.test(styleOf(at).overflowX)) continue
        const box = boxOf(at)
        shown = shown.map((r) => {
          const [left, top] = [Math.max(r.left, box.left), Math.max(r.top, box.top)]
          return new DOMRect(left, top, Math.min(r.right, box.right) - left, Math.min(r.bottom, box.bottom) - top)
        })
      }
      return shown.filter(isThere)
    }

    /** Around turned letters the box says nothing. */
    const isTurned = ({ element }: Piece) => ancestorsOf(element).some((at) => styleOf(at).isTurned)
    /** Signs along a line lie where they belong, and may lie close. */
    const isSign = ({ words }: Piece) => Array.from(words.trim()).length === 1
    const isOver = (a: DOMRect, b: DOMRect) =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > slackPx.across &&
      Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > slackPx.down

    const pieces = piecesIn(scope)
    for (const piece of pieces) {
      const cut = cutOf(piece)
      if (cut) faults.add(cut)
    }
    const upright = pieces.filter((piece) => !isSign(piece) && !isTurned(piece))
    const shown = upright.map((piece) => ({ ...piece, rects: shownOf(piece), layer: layerOf(piece.element) }))
    shown.forEach((piece, i) => {
      for (const other of shown.slice(i + 1)) {
        if (piece.layer !== other.layer || piece.element === other.element) continue
        if (piece.rects.some((a) => other.rects.some((b) => isOver(a, b)))) {
          faults.add(`“${short(piece.words)}” lies over “${short(other.words)}”`)
        }
      }
    })

    const pressed = [...scope.querySelectorAll('button, a, input, select, summary, textarea')]
      .filter((element) => isSeen(element) && !(element instanceof SVGElement))
      .map((element) => ({ element, box: boxOf(element), layer: layerOf(element) }))
      .filter(({ box }) => isThere(box))
    const nameOf = (element: Element) =>
      short(element.getAttribute('aria-label') ?? element.textContent ?? element.getAttribute('id') ?? element.tagName)
    pressed.forEach(({ element, box, layer }, i) => {
      for (const other of pressed.slice(i + 1)) {
        if (layer !== other.layer || element.contains(other.element) || other.element.contains(element)) continue
        if (isOver(box, other.box)) faults.add(`to press, “${nameOf(element)}” lies over “${nameOf(other.element)}”`)
      }
      const isBeside = box.right > window.innerWidth + 1 || box.left < -1
      if (isBeside && !ancestorsOf(element).some(scrollsAcross)) {
        faults.add(`to press, “${nameOf(element)}” lies beyond the edge`)
      }
      if (element instanceof HTMLInputElement && element.inputMode && element.scrollWidth > element.clientWidth + 1) {
        faults.add(`a figure is cut: “${nameOf(element)}” ${element.value}`)
      }
    })

    const around = boxOf(scope)
    const isBeyond = around.top < -1 || around.bottom > window.innerHeight + 1
    if (dialogs.length > 0 && isBeyond && !ancestorsOf(scope).some(scrolls)) {
      faults.add(`runs off above or below: ${short(scope.textContent ?? '')}`)
    }
    if (document.documentElement.scrollWidth > window.innerWidth + 1) faults.add('the page scrolls sideways')
    for (const element of [scope, ...scope.querySelectorAll('*')]) {
      // A table that is broader than the page scrolls by itself, and with the keyboard too.
      if (isSeen(element) && scrollsAcross(element) && !element.matches('[tabindex="0"][aria-label]')) {
        faults.add(`scrolls sideways: ${element.tagName.toLowerCase()} ${short(element.textContent ?? '')}`)
      }
    }
    return [...faults]
  })
}

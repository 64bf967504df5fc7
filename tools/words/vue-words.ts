import {
  ElementTypes,
  NodeTypes,
  baseParse,
  type AttributeNode,
  type DirectiveNode,
  type ElementNode,
  type InterpolationNode,
  type NodeTransform,
  type RootNode,
  type SimpleExpressionNode,
  type SourceLocation,
  type TemplateChildNode,
  type TextNode,
} from '@vue/compiler-core'

/**
 * What a template shows goes through `$say`, put there as the template is compiled: a run of text and figures as one
 * sentence with its places, `Held for {0} of {1}`, and the attributes below. The English text is the key, so a
 * component is written as if there were one language. What a person wrote themselves stands under `translate="no"`.
 */

/** Attributes that are read out or shown, on elements of the page and on the controls of the library. */
const SHOWN_ATTRIBUTES = new Set([
  'alt',
  'aria-description',
  'aria-label',
  'aria-roledescription',
  'aria-valuetext',
  'error-messages',
  'hint',
  'label',
  'messages',
  'no-data-text',
  'placeholder',
  'prefix',
  'subtitle',
  'suffix',
  'text',
  'title',
])
/** Lists of choices, whose titles are shown. */
const LISTS = new Set(['items', 'headers'])
const LETTER = /\p{L}/u

type Run = (TextNode | InterpolationNode)[]

const expression = (content: string, loc: SourceLocation): SimpleExpressionNode => ({
  type: NodeTypes.SIMPLE_EXPRESSION,
  content,
  isStatic: false,
  constType: 0,
  loc,
})

/** A run's key, with a place for each figure, and the white space about it. */
export function keyOf(run: Run): { key: string; places: string[]; before: string; after: string } {
  const places: string[] = []
  const whole = run
    .map(node => {
      if (node.type === NodeTypes.TEXT) return node.content
      places.push((node.content as SimpleExpressionNode).content)
      return `{${places.length - 1}}`
    })
    .join('')
    .replace(/\s+/g, ' ')
  return {
    key: whole.trim(),
    places,
    before: whole.startsWith(' ') ? ' ' : '',
    after: whole.length > 1 && whole.endsWith(' ') ? ' ' : '',
  }
}

const hasWords = (key: string) => LETTER.test(key.replace(/\{\d+\}/g, ''))

function saidRun(run: Run): TemplateChildNode[] {
  const { key, places, before, after } = keyOf(run)
  const first = run[0]!
  const said = (content: string, loc: SourceLocation): InterpolationNode => ({
    type: NodeTypes.INTERPOLATION,
    content: expression(content, loc),
    loc,
  })
  const space = (content: string): TextNode[] => (content ? [{ type: NodeTypes.TEXT, content, loc: first.loc }] : [])
  if (hasWords(key)) {
    const call = places.length ? `$say(${JSON.stringify(key)}, [${places.join(', ')}])` : `$say(${JSON.stringify(key)})`
    return [...space(before), said(call, first.loc), ...space(after)]
  }
  return run.map(node =>
    node.type === NodeTypes.TEXT ? node : said(`$say(${(node.content as SimpleExpressionNode).content})`, node.loc),
  )
}

const isSaid = (node: TemplateChildNode) =>
  node.type === NodeTypes.INTERPOLATION && (node.content as SimpleExpressionNode).content.startsWith('$say(')

function runsOf(children: readonly TemplateChildNode[]): (Run | TemplateChildNode)[] {
  const out: (Run | TemplateChildNode)[] = []
  let run: Run = []
  const close = () => {
    if (run.length) out.push(run)
    run = []
  }
  for (const child of children)
    if ((child.type === NodeTypes.TEXT || child.type === NodeTypes.INTERPOLATION) && !isSaid(child)) run.push(child)
    else {
      close()
      out.push(child)
    }
  close()
  return out
}

/** Components of libraries that put their attributes on the page as they are. */
const SHOW_THEMSELVES = new Set(['NuxtLink', 'Bar', 'Line', 'Scatter'])

const isOwn = (node: ElementNode) =>
  node.props.some(
    prop => prop.type === NodeTypes.ATTRIBUTE && prop.name === 'translate' && prop.value?.content === 'no',
  )

/** The page's own elements and the library's controls show what they are given; our components show it themselves. */
const showsAttributes = (node: ElementNode) =>
  node.tagType === ElementTypes.ELEMENT || /^(?:v-|V[A-Z])/.test(node.tag) || SHOW_THEMSELVES.has(node.tag)

function saidAttribute(prop: AttributeNode | DirectiveNode): AttributeNode | DirectiveNode {
  if (prop.type === NodeTypes.ATTRIBUTE) {
    if (!SHOWN_ATTRIBUTES.has(prop.name) || !prop.value || !LETTER.test(prop.value.content)) return prop
    return {
      type: NodeTypes.DIRECTIVE,
      name: 'bind',
      rawName: `:${prop.name}`,
      arg: { ...expression(prop.name, prop.loc), isStatic: true, constType: 3 },
      exp: expression(`$say(${JSON.stringify(prop.value.content)})`, prop.loc),
      modifiers: [],
      loc: prop.loc,
    }
  }
  const name = prop.name === 'bind' && prop.arg?.type === NodeTypes.SIMPLE_EXPRESSION ? prop.arg.content : ''
  if (!prop.exp || prop.exp.type !== NodeTypes.SIMPLE_EXPRESSION || prop.exp.content.startsWith('$say')) return prop
  const call = SHOWN_ATTRIBUTES.has(name) ? '$say' : LISTS.has(name) ? '$sayItems' : ''
  return call ? { ...prop, exp: expression(`${call}(${prop.exp.content})`, prop.exp.loc) } : prop
}

/** The compiler's step that sends what is shown through `$say` and `$sayItems`. */
export function sayTransform(): NodeTransform {
  let own = 0
  /** What stands in a `<template translate="no">`, which the compiler takes away before this step comes to it. */
  const left = new WeakSet<TemplateChildNode[]>()
  return node => {
    if (
      node.type !== NodeTypes.ROOT &&
      node.type !== NodeTypes.ELEMENT &&
      node.type !== NodeTypes.IF_BRANCH &&
      node.type !== NodeTypes.FOR
    )
      return undefined
    if (node.type === NodeTypes.ELEMENT && isOwn(node)) own += 1
    // Before the compiler comes to the children: it then resolves what is put there like anything else.
    for (const child of node.children) {
      if (own > 0 || child.type !== NodeTypes.ELEMENT) continue
      if (isOwn(child)) left.add(child.children)
      else if (showsAttributes(child)) child.props = child.props.map(saidAttribute)
    }
    // In place: a loop's node and the template it was made of hold the same list.
    if (own === 0 && !left.has(node.children))
      node.children.splice(
        0,
        node.children.length,
        ...runsOf(node.children).flatMap(part => (Array.isArray(part) ? saidRun(part) : [part])),
      )
    return () => {
      if (node.type === NodeTypes.ELEMENT && isOwn(node)) own -= 1
    }
  }
}

interface TemplateWords {
  /** Keys that `$say` is given whole. */
  readonly keys: readonly string[]
  /** Expressions whose texts may be shown. */
  readonly expressions: readonly string[]
}

/** Every key of a single-file component's template, in its order, and the expressions in it. */
export function templateWords(source: string): TemplateWords {
  const from = /^<template>$/m.exec(source)
  if (!from) return { keys: [], expressions: [] }
  const until = source.lastIndexOf('\n</template>')
  const root: RootNode = baseParse(source.slice(from.index + from[0].length, until), {
    whitespace: 'condense',
    isNativeTag: tag => /^[a-z][a-z0-9]*$/.test(tag),
    isVoidTag: tag => /^(?:area|br|col|hr|img|input|wbr)$/.test(tag),
  })
  const keys: string[] = []
  const expressions: string[] = []
  const walk = (node: RootNode | ElementNode) => {
    if (node.type === NodeTypes.ELEMENT) {
      if (isOwn(node)) return
      for (const prop of node.props)
        if (prop.type === NodeTypes.ATTRIBUTE) {
          const text = prop.value?.content ?? ''
          // Our own components show what they are given under any name.
          const own = node.tagType === ElementTypes.COMPONENT && !/^(?:class|style|path|to|data-.*)$/.test(prop.name)
          if (LETTER.test(text) && (SHOWN_ATTRIBUTES.has(prop.name) || (own && /\s/.test(text)))) keys.push(text)
        } else if (prop.name === 'bind' && prop.exp?.type === NodeTypes.SIMPLE_EXPRESSION)
          expressions.push(
            prop.arg?.type === NodeTypes.SIMPLE_EXPRESSION && SHOWN_ATTRIBUTES.has(prop.arg.content)
              ? prop.exp.content
              : prop.arg?.type === NodeTypes.SIMPLE_EXPRESSION && prop.arg.content === 'words'
                ? `wordsOf(${prop.exp.content})`
                : `x(${prop.exp.content})`,
          )
    }
    for (const part of runsOf(node.children))
      if (Array.isArray(part)) {
        const { key, places } = keyOf(part)
        if (hasWords(key)) keys.push(key)
        expressions.push(...places)
      } else if (part.type === NodeTypes.ELEMENT) walk(part)
  }
  walk(root)
  return { keys, expressions }
}

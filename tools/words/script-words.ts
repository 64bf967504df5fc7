import ts from 'typescript'

/**
 * The words in a script that may come to be shown: its texts with a space or a capital, and its templates with a place
 * for each figure, `warm it to {0}`. Left out are what is compared, named, imported or thrown at the builder.
 */

const LETTERS = /\p{L}{2,}/u

const isFault = (name: string) => name === 'Error' || name === 'TypeError' || name === 'RangeError'
/** Calls whose texts go to the program, never to a reader. */
const UNSHOWN_CALLS =
  /(?:^|\.)(?:querySelector|querySelectorAll|closest|getElementById|addEventListener|removeEventListener|matchMedia|useMediaQuery|useLocalStorage|useSessionStorage|useStorage|defineStore|defineEmits|emit|includes|startsWith|endsWith|indexOf|split|enum|literal|format|getContext|setAttribute|append|test|exec|match|stores|fetch|\$fetch|table|where|navigateTo)$/

function isUnshown(node: ts.Node): boolean {
  const { parent } = node
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isExternalModuleReference(parent))
    return true
  if (ts.isLiteralTypeNode(parent) || ts.isTemplateLiteralTypeNode(parent)) return true
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent)) return true
  if (ts.isPropertyAssignment(parent) && parent.name === node) return !/\s/.test((node as ts.StringLiteral).text)
  if (ts.isBinaryExpression(parent) && /[=!]==?/.test(parent.operatorToken.getText())) return true
  if (ts.isNewExpression(parent)) return isFault(parent.expression.getText()) || parent.expression.getText() === 'URL'
  if (ts.isCallExpression(parent))
    return parent.expression.kind === ts.SyntaxKind.ImportKeyword || UNSHOWN_CALLS.test(parent.expression.getText())
  if (ts.isTaggedTemplateExpression(parent)) return true
  return false
}

/** A sentence given in parts, its figures between its words, as one key. */
function sentenceKey(node: ts.ArrayLiteralExpression): string | null {
  const { elements } = node
  if (elements.length < 2 || elements.some(element => ts.isSpreadElement(element))) return null
  const texts = elements.filter(element => ts.isStringLiteralLike(element) || ts.isTemplateExpression(element))
  if (texts.length === 0 || texts.length === elements.length) return null
  if (!texts.some(text => /^[ ,;:(]|[ (]$/.test(textOf(text)))) return null
  let place = 0
  const key = elements
    .map(element => {
      if (!ts.isStringLiteralLike(element) && !ts.isTemplateExpression(element)) return `{${place++}}`
      return textOf(element).replace(/\{\d+\}/g, () => `{${place++}}`)
    })
    .join('')
  return key
}

function textOf(node: ts.Node): string {
  if (ts.isStringLiteralLike(node)) return node.text
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map((span, n) => `{${n}}${span.literal.text}`).join('')
  return ''
}

const isWords = (text: string) => {
  const bare = text.replace(/\{\d+\}/g, '')
  if (/^\S*[-#.(/\w]\{\d+\}|^\{\d+\}[-.#(]\S*$/.test(text) && !/\s/.test(text)) return false
  return LETTERS.test(bare) && !/^[#~/]|^\.\S|^[a-z]+:\/\/|^--|[<>{}]|=>|;$|^\w+\.\w+$/.test(bare)
}

/** Properties whose one-word text is shown. */
const SHOWN_PROPERTIES =
  /^(?:name|names|label|title|words|text|short|what|where|why|how|says|said|long|one|many|doing|task|unitName|group|say|line|note|heading|state|message|needs|reason|action|does|means|plural)$/
/** Helpers that make words of what they are given. */
const WORD_CALLS = /(?:^|\.)(?:count|counted|list|words|capital|say|listed|plural|join|push)$/

/** Through choices and brackets to what a text goes into. */
function goesInto(node: ts.Node): ts.Node {
  let up = node.parent
  while (
    ts.isConditionalExpression(up) ||
    ts.isParenthesizedExpression(up) ||
    ts.isAsExpression(up) ||
    (ts.isBinaryExpression(up) && /^(?:\?\?|\|\||&&)$/.test(up.operatorToken.getText()))
  )
    up = up.parent
  return up
}

/** Tables of words by what they stand for: every text in them is shown. */
const TABLE_OF_WORDS = /(?:words|labels)(?:\.table)?\.ts$/

function isShownWord(node: ts.Node, text: string): boolean {
  if (/\s/.test(text.trim())) return true
  if (/^(?:[a-z]+-)+[a-z]+$/.test(text) && !TABLE_OF_WORDS.test(node.getSourceFile().fileName)) return false
  if (/^\p{Lu}\p{Ll}+[.:]?$/u.test(text)) return true
  const up = goesInto(node)
  if (ts.isTemplateSpan(up) || ts.isExpressionStatement(up)) return true
  if (ts.isCallExpression(up)) return WORD_CALLS.test(up.expression.getText())
  if (!ts.isPropertyAssignment(up)) return false
  const given = up.parent.parent
  if (ts.isCallExpression(given) && given.expression.getText() === 'wordsOf') return true
  return (
    TABLE_OF_WORDS.test(node.getSourceFile().fileName) || SHOWN_PROPERTIES.test(up.name.getText().replace(/['"]/g, ''))
  )
}

/** Keys of a script, in its order. */
export function scriptKeys(source: string, name = 'script.ts'): string[] {
  const file = ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
  const keys: string[] = []
  const walk = (node: ts.Node) => {
    if (ts.isArrayLiteralExpression(node)) {
      const key = sentenceKey(node)
      if (key && isWords(key)) {
        keys.push(key)
        for (const element of node.elements) {
          if (ts.isTemplateExpression(element)) element.templateSpans.forEach(walk)
          else if (!ts.isStringLiteralLike(element)) walk(element)
        }
        return
      }
    }
    if (ts.isCallExpression(node) && node.expression.getText() === 'count' && node.arguments.length === 2) {
      // The plural that counting makes by itself.
      const one = node.arguments[1]!
      if (ts.isStringLiteralLike(one)) keys.push(`${one.text}s`)
    }
    if (ts.isStringLiteralLike(node)) {
      if (isWords(node.text) && isShownWord(node, node.text) && !isUnshown(node)) keys.push(node.text)
      return
    }
    if (ts.isTemplateExpression(node) && !isUnshown(node)) {
      const text = textOf(node)
      if (isWords(text) && (/\s/.test(text.trim()) || /\p{L}{3,}/u.test(text.replace(/\{\d+\}/g, '')))) keys.push(text)
    }
    ts.forEachChild(node, walk)
  }
  walk(file)
  return keys
}

import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { NodeTypes, parse as parseTemplate, type TemplateChildNode } from '@vue/compiler-dom'
import { parse as parseComponent } from '@vue/compiler-sfc'
import ts from 'typescript'

/** Where what stands on a screen, or on paper, is written: beside the screens themselves whatever is told of what was given wrongly. */
const folders = ['app', 'wording', 'paper', 'catalogue', 'core', 'server/api', 'shared']
/** Made-up places and people, words that others write on their waypoints, and signs of countries. */
const leftOut = [
  'catalogue/demo',
  'catalogue/place-words.ts',
  'core/ride/holiday-countries.ts',
  'paper/style.ts',
  'paper/qr.ts',
]

/** Attributes, and parts of components, that are read by people. */
const readAttributes = /^(alt|aria-label|aria-description|heading|label|placeholder|question|said|title|what|why)$/
/** What people never read, though it is written as text. */
const unreadBindings = /^(class|style|key|id|ref|is|to|href|type|d|points|transform|viewBox|v-for|v-slot)$/

/** Every text that may stand on a screen, by the file that says it. */
export function screenTexts(): Map<string, readonly string[]> {
  return new Map(
    folders
      .flatMap(filesIn)
      .filter((file) => !leftOut.some((folder) => file.startsWith(folder)))
      .map((file) => [
        file,
        file.endsWith('.vue') ? textsOfComponent(file) : textsOfScript(file, readFileSync(file, 'utf8')),
      ]),
  )
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.(vue|ts)$/.test(entry.name) && !entry.name.endsWith('.d.ts'))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()
}

function textsOfComponent(file: string): string[] {
  const { descriptor } = parseComponent(readFileSync(file, 'utf8'), { filename: file })
  const template = descriptor.template ? textsOfNodes(parseTemplate(descriptor.template.content).children) : []
  return [...template, ...textsOfScript(file, descriptor.scriptSetup?.content ?? '')]
}

function textsOfNodes(nodes: readonly TemplateChildNode[]): string[] {
  return nodes.flatMap((node) => {
    if (node.type === NodeTypes.TEXT) return [node.content]
    if (node.type === NodeTypes.INTERPOLATION) return textsOfExpression(node.content.loc.source)
    if (node.type !== NodeTypes.ELEMENT) return []
    const attributes = node.props.flatMap((prop) => {
      if (prop.type === NodeTypes.ATTRIBUTE) return readAttributes.test(prop.name) ? [prop.value?.content ?? ''] : []
      const bound = prop.arg?.loc.source ?? prop.name
      return prop.exp && prop.name === 'bind' && !unreadBindings.test(bound)
        ? textsOfExpression(prop.exp.loc.source)
        : []
    })
    return [...attributes, ...textsOfNodes(node.children)]
  })
}

/** In a template a text of one word may be one that is read. */
const textsOfExpression = (source: string) => textsIn(source, isRead)

/** Among words, too; elsewhere one word in small letters is the name of something in the program. */
const textsOfScript = (file: string, source: string) =>
  textsIn(source, file.startsWith('wording/') ? isRead : (text) => /\s|^[A-ZÀ-Þ]/.test(text))

/** Words with hyphens alone are names of the program. */
const isRead = (text: string) => /[a-z]/i.test(text) && !/^[a-z]+(-[a-z0-9]+)+$/.test(text)

/** Addresses, what is looked for on a page, style, headers, normal forms and the like. */
const forPrograms =
  /^[/#."]|^\((max|min)-|\[[a-z-]+[=\]]|:not\(|\bbg-|sans-serif|url\(|utf-8|filename=|outbox|^NFD$|^Unauthorized$/i

/** What stands between the tags of a page that is written as a template. */
function textsOfPage(template: ts.TemplateLiteral): string[] {
  const parts = ts.isTemplateExpression(template)
    ? [template.head.text, ...template.templateSpans.map(({ literal }) => literal.text)]
    : [template.text]
  return parts
    .join('\n')
    .replace(/<[^>]*>/g, '\n')
    .split('\n')
    .filter((text) => /[a-z]/i.test(text))
}

function textsIn(source: string, isText: (text: string) => boolean): string[] {
  const file = ts.createSourceFile('source.ts', source, ts.ScriptTarget.Latest, true)
  const texts: string[] = []
  const visit = (node: ts.Node): void => {
    if (isUnread(node)) return
    if (ts.isTaggedTemplateExpression(node) && node.tag.getText(file) === 'html') {
      texts.push(...textsOfPage(node.template))
      if (ts.isTemplateExpression(node.template))
        node.template.templateSpans.forEach(({ expression }) => {
          visit(expression)
        })
      return
    }
    if (ts.isTemplateExpression(node)) {
      // What is put in may be a part of a word as well as a word.
      const parts = [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)]
      texts.push(...parts.filter((part) => !forPrograms.test(part)))
      node.templateSpans.forEach(({ expression }) => {
        visit(expression)
      })
      return
    }
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if ((isText(node.text) || isNamed(node)) && !forPrograms.test(node.text)) texts.push(node.text)
      return
    }
    ts.forEachChild(node, visit)
  }
  visit(file)
  return texts
}

/** Whether a text is what something is called. */
function isNamed({ parent }: ts.Node): boolean {
  return ts.isPropertyAssignment(parent) && /^(name|plural|label|title|short|verb)$/.test(parent.name.getText())
}

/** Imports, types, and what is told to programmers. */
function isUnread(node: ts.Node): boolean {
  if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return true
  return ts.isNewExpression(node) && /^(TypeError|RangeError|Error|RegExp)$/.test(node.expression.getText())
}

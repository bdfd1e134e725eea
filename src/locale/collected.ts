import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import ts from "typescript";

/** Parts of the program that say nothing to a maker: tests and their tools, made-up samples, and replies to programs. */
const SAYS_NOTHING =
  /\.test\.|\/testing\/|\/store\/sample|workedExamples|\/server\/|\/app\/api\/|\/words\/|\/locale\/|src\/(policy|proxy|instrumentation)|core\/files\/drawing\/(dxf|svg)\.ts|core\/files\/csv/;

/** Properties of elements and of plain data whose text is for the program, not for a reader. */
const FOR_THE_PROGRAM = new Set(
  `className style id type variant size color role href key d fill stroke transform viewBox component anchor direction autoComplete inputMode rel target htmlFor aria-live aria-current name scope sx textAnchor dominantBaseline strokeLinejoin strokeLinecap fontFamily margin severity orientation kind preserveAspectRatio accept method lang dir path param family display border background font cursor animation transition boxShadow gridTemplateColumns gridTemplateAreas alignItems justifyContent textTransform whiteSpace overflow userSelect touchAction mimeType translate`.split(
    /\s+/,
  ),
);
/** Properties of plain data whose text is for a reader, be it one small word. */
const FOR_A_READER =
  /^(label|title|name|note|words|word|text|heading|says|hint|short|one|many|reading|singular|plural|noun|verb|told|value)$/;
/** What is said to these is for the program. */
const TAKES_NO_WORDS =
  /^(describe|Error|RangeError|TypeError|querySelector|querySelectorAll|closest|getContext|addEventListener|removeEventListener|getElementById|setAttribute|getAttribute|matchMedia|regex|RegExp|createElement|postMessage|getPropertyValue|getAttributeNS)$/;
const METHODS_WITHOUT_WORDS = /^(split|startsWith|endsWith|includes|replace|join|has|get|indexOf|error)$/;
/** Markup, paths, styles, addresses and the like. */
const IS_NO_TEXT =
  /^(https?:|\/|\.\/|#|@|use client$|M-?\d|m-?\d|var\(|url\(|calc\(|rgba?\(|translate\(|rotate\(|scale\(|matrix\(|<)|;\s*$|=>|\bsolid\b|\bflex\b|^\d+(px|em|rem|%|fr)|\dfr\b|minmax\(|\d+px|\{\d+\}px|sans-serif|'self'|Variable"|data-\w+=|viewBox|stroke|<\//i;

/** Small words that are shown as they are kept: sides, panels, places, materials, levels. */
const SHOWN_AS_KEPT =
  `in-seam centre net seam edge front back left right shell contrast lining interfacing pocketing rib block now body ease dart waist hip thigh
  knee calf ankle crotch side inseam hem top open single length`.split(/\s+/);

/** A length of the program's own, and a word that only it knows. */
const IS_A_VALUE = /^\d+(\.\d+)? mm$|^[a-z]+[A-Z]\w*$|^[a-z0-9]+([-.:_/][a-z0-9]+)+$/;

const hasLetters = (text: string): boolean => /[A-Za-z]{2}/.test(text.replace(/\{\w+\}/g, " "));

/** True where a text without a tag looks like words for a reader: several, or one that starts large. */
const looksSaid = (text: string): boolean =>
  hasLetters(text) &&
  !IS_NO_TEXT.test(text) &&
  !IS_A_VALUE.test(text) &&
  (/\S \S/.test(text.trim()) || /^[A-Z][a-z]+(-[a-z]+)*$/.test(text.trim()));

const placed = (head: string, spans: readonly { readonly literal: { readonly text: string } }[]): string =>
  spans.reduce((all, span, i) => `${all}{${i + 1}}${span.literal.text}`, head);

const templateText = (template: ts.TemplateLiteral): string =>
  ts.isTemplateExpression(template) ? placed(template.head.text, template.templateSpans) : template.text;

/** Text between elements as it reaches the page: of every line its ends cut off, empty ones left out. */
function jsxText(raw: string): string {
  const lines = raw.split(/\r?\n/);
  return lines
    .map((line, i) => {
      let own = line.replace(/\t/g, " ");
      if (i > 0) own = own.replace(/^ +/, "");
      if (i < lines.length - 1) own = own.replace(/ +$/, "");
      return own;
    })
    .filter((line) => line !== "")
    .join(" ");
}

/** What the inside of an element says, with places for what is put into it. */
function insideText(children: readonly ts.JsxChild[]): string {
  let places = 0;
  return children
    .map((child) => {
      if (ts.isJsxText(child)) return jsxText(child.text);
      if (!ts.isJsxExpression(child)) return `{${++places}}`;
      if (!child.expression) return "";
      return ts.isStringLiteralLike(child.expression) ? child.expression.text : `{${++places}}`;
    })
    .join("");
}

/** All that one file says, as the keys of messages: white space at the ends cut off, places numbered. */
export function wordsOf(fileName: string, source: string): readonly string[] {
  const found: string[] = [];
  const add = (text: string): void => {
    const own = text.trim();
    if (hasLetters(own)) found.push(own);
  };
  const file = ts.createSourceFile(fileName, source, ts.ScriptTarget.Latest, true);

  function literal(node: ts.StringLiteralLike): void {
    const { parent } = node;
    if (ts.isPropertyAssignment(parent) && parent.name === node) return;
    if (ts.isElementAccessExpression(parent) || ts.isCaseClause(parent) || ts.isLiteralTypeNode(parent)) return;
    if (ts.isBinaryExpression(parent) && /[=!]==?|^in$/.test(parent.operatorToken.getText())) return;
    const property = ts.isPropertyAssignment(parent) ? parent.name.getText().replace(/"/g, "") : "";
    if (FOR_THE_PROGRAM.has(property) && property !== "name") return;
    if (
      looksSaid(node.text) ||
      (FOR_A_READER.test(property) && !IS_NO_TEXT.test(node.text) && !IS_A_VALUE.test(node.text))
    )
      add(node.text);
  }

  /** The word of an option: `["left", "links"]` holds what is kept, and what is shown for it. */
  function optionWord(node: ts.ArrayLiteralExpression): void {
    const [kept, shown, ...more] = node.elements;
    if (!kept || !shown || more.length > 0 || !ts.isStringLiteralLike(kept) || !ts.isStringLiteralLike(shown)) return;
    if (!IS_A_VALUE.test(shown.text) && !IS_NO_TEXT.test(shown.text)) add(shown.text);
  }

  /** Small words that are chosen among inside a template: `${isLonger ? "longer" : "shorter"}`. */
  function chosenWords(node: ts.Expression): void {
    if (ts.isStringLiteralLike(node)) add(node.text);
    else if (ts.isParenthesizedExpression(node)) chosenWords(node.expression);
    else if (ts.isConditionalExpression(node)) [node.whenTrue, node.whenFalse].forEach(chosenWords);
    else if (ts.isBinaryExpression(node) && /^(\?\?|\|\||&&)$/.test(node.operatorToken.getText()))
      chosenWords(node.right);
  }

  function visit(node: ts.Node): void {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return;
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const inside = insideText(node.children);
      if (hasLetters(inside)) add(inside);
      const isWhole = (child: ts.JsxChild): boolean =>
        ts.isJsxExpression(child) && child.expression !== undefined && ts.isStringLiteralLike(child.expression);
      if (ts.isJsxElement(node)) visit(node.openingElement);
      for (const child of node.children) {
        if (ts.isJsxText(child) || isWhole(child)) continue;
        if (ts.isJsxExpression(child) && child.expression) chosenWords(child.expression);
        visit(child);
      }
      return;
    }
    if (ts.isJsxAttribute(node) && node.initializer && ts.isStringLiteral(node.initializer)) {
      const name = node.name.getText();
      const text = node.initializer.text;
      const isLabel = /^(label|aria-label|title|placeholder|alt|helperText)$/.test(name);
      if (!FOR_THE_PROGRAM.has(name) && (looksSaid(text) || isLabel)) add(text);
      return;
    }
    if (ts.isJsxAttribute(node) && FOR_THE_PROGRAM.has(node.name.getText())) return;
    if (ts.isCallExpression(node) || ts.isNewExpression(node)) {
      const isMethod = ts.isPropertyAccessExpression(node.expression);
      const called = node.expression.getText().split(".").pop() ?? "";
      if (TAKES_NO_WORDS.test(called) || (isMethod && METHODS_WITHOUT_WORDS.test(called))) {
        visit(node.expression);
        node.arguments?.forEach((one) => !ts.isStringLiteralLike(one) && !ts.isTemplateExpression(one) && visit(one));
        return;
      }
    }
    if (ts.isTaggedTemplateExpression(node)) {
      if (/^(say|phrase)$/.test(node.tag.getText())) add(templateText(node.template));
      if (!ts.isTemplateExpression(node.template)) return;
      for (const { expression } of node.template.templateSpans) {
        chosenWords(expression);
        visit(expression);
      }
      return;
    }
    if (ts.isArrayLiteralExpression(node)) optionWord(node);
    if (ts.isStringLiteralLike(node)) return literal(node);
    ts.forEachChild(node, visit);
  }
  visit(file);
  return found;
}

/** All files under a folder, in a fixed order. */
function filesUnder(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesUnder(path) : [path];
    });
}

/** The files of the program that say anything to a maker. */
export const sourceFiles = (root: string): readonly string[] =>
  filesUnder(join(root, "src")).filter((path) => /\.tsx?$/.test(path) && !SAYS_NOTHING.test(path));

/** All that the program says to a maker, in the order of its files; each once. */
export function collectedWords(root: string): readonly string[] {
  const said = sourceFiles(root).flatMap((path) => wordsOf(relative(root, path), readFileSync(path, "utf8")));
  return [...new Set([...said, ...SHOWN_AS_KEPT])];
}

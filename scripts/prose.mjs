// Finds sentences and labels in source code: what a person would read, where it is no message. For the test that all of
// them stand in the tables of words; it reads the syntax, since a class name or a statement to the database is text as
// well.
import { parseSync } from 'oxc-parser';

/** Attributes of elements whose text nobody reads. */
const SILENT_ATTRIBUTE =
  /^(class|type|role|htmlFor|look|tone|key|id|to|href|method|rel|fill|stroke|transform|d|viewBox|accept|autoComplete|inputMode|dataKey|src|side|align|as|style|sizes|lang|font|textAnchor|dominantBaseline|markerEnd|position|layout|wrap|enterKeyHint)|Class(Name)?$/;
/** Properties of objects, the same. */
const SILENT_PROPERTY =
  /^(className|type|kind|font|fontFamily|stroke|fill|color|path|mode|cursor|gridTemplateColumns|transform|Cache-Control|Content-Type)$|Class(Name)?$/;
/** Functions that are handed names, addresses, statements and patterns. */
const SILENT_CALL =
  /^(use[A-Z]\w*|getItem|setItem|removeItem|query\w*|execute|sql|mark|measure|addEventListener|removeEventListener|setHeader|set|get|has|type|attachment|contentType|startsWith|endsWith|split|includes|join|replace|replaceAll|indexOf|msg|rich|messageParts|withFonts|request|RegExp|BroadcastChannel|postMessage|kept)$/;
const STATEMENT =
  /#>>|^\s*(select|insert into|update \w+ set|delete from|create|drop|alter|show|lock|with \w+ as|id, )\b|charset=|^attachment;|max-age=|px Barlow|^repeatable read$/;

const hasWord = (text) => /\p{L}{2,}/u.test(text);
/** Two words with a blank between them, or one with a capital: "Set mark", "mark is", "Cancel". */
const readsAsProse = (text) =>
  /\p{L}{2,}[,;:.)”’…]* +[(“]?\p{L}/u.test(text) || /^\p{Lu}\p{Ll}{2,}[….:!?]?$/u.test(text);
/** Names of classes: every word has the look of one, and one of them cannot be anything else. */
const readsAsClasses = (text) =>
  text.split(/\s+/).every((word) => word === '{}' || /^!?-?[a-z0-9@&>[(][\w:[\]\-/.#%!(),&>*=+~|^$?']*$/.test(word)) &&
  /[a-z0-9]-[a-z0-9[]|:[a-z]|\[/.test(text) &&
  !/[“”’]/.test(text);

const calleeOf = ({ callee }) => callee.name ?? callee.property?.name ?? '';

/** Whether text at this place is for the program and not for a person. */
function isSilent(parents) {
  for (let at = parents.length - 1; at >= 0; at--) {
    const { node, key } = parents[at];
    if (/^TS(?!As|Satisfies|NonNull)/.test(node.type) || node.type === 'TaggedTemplateExpression') return true;
    if (/^(Import|Export).*Declaration$/.test(node.type) && key === 'source') return true;
    if (node.type === 'ImportExpression') return true;
    if (node.type === 'BinaryExpression' && /^[=!<>]=|^[<>]$|^in/.test(node.operator)) return true;
    if (node.type === 'SwitchCase' && key === 'test') return true;
    if (node.type === 'MemberExpression' && key === 'property') return true;
    if (node.type === 'Property' && (key === 'key' || SILENT_PROPERTY.test(node.key.name ?? node.key.value ?? '')))
      return true;
    if (node.type === 'JSXAttribute') return SILENT_ATTRIBUTE.test(node.name.name?.name ?? node.name.name);
    if (
      /^(Call|New)Expression$/.test(node.type) &&
      key === 'arguments' &&
      at === parents.length - 1 &&
      SILENT_CALL.test(calleeOf(node))
    )
      return true;
    if (node.type === 'NewExpression' && /Error$/.test(calleeOf(node))) return true;
    if (/^(JSXElement|JSXFragment|ArrowFunctionExpression|FunctionDeclaration)$/.test(node.type)) return false;
  }
  return false;
}

const textOf = (node) => {
  if (node.type === 'Literal' && typeof node.value === 'string') return node.value;
  if (node.type === 'TemplateLiteral') return node.quasis.map((part) => part.value.cooked).join('{}');
  return null;
};

/** The sentences of one file: { line, text } of each, in order. */
export function sentencesIn(file, source) {
  const { program, errors } = parseSync(file, source);
  if (errors.length > 0) throw new Error(`${file}: ${errors[0].message}`);
  const found = [];
  const keep = (node, text) =>
    found.push({ line: source.slice(0, node.start).split('\n').length, text: text.trim().replace(/\s+/g, ' ') });
  const parents = [];
  const visit = (node) => {
    const text = textOf(node);
    if (node.type === 'JSXText' && hasWord(node.value)) keep(node, node.value);
    else if (
      text !== null &&
      readsAsProse(text) &&
      !readsAsClasses(text) &&
      !STATEMENT.test(text) &&
      !isSilent(parents)
    )
      keep(node, text);
    for (const key in node) {
      const value = node[key];
      if (value === null || typeof value !== 'object') continue;
      parents.push({ node, key });
      for (const child of Array.isArray(value) ? value : [value])
        if (child && typeof child.type === 'string') visit(child);
      parents.pop();
    }
  };
  visit(program);
  return found;
}

const isFunction = (node) =>
  /^(FunctionDeclaration|FunctionExpression|ArrowFunctionExpression|PropertyDefinition)$/.test(node.type);

/** Lines where a module asks for a message while it is loaded: before anyone could say in which words. */
export function askedWhileLoading(file, source) {
  const found = [];
  const visit = (node) => {
    if (node === null || typeof node !== 'object') return;
    if (Array.isArray(node)) return node.forEach(visit);
    if (isFunction(node)) return;
    if (node.type === 'CallExpression' && /^(msg|rich|messageParts)$/.test(calleeOf(node)))
      found.push(source.slice(0, node.start).split('\n').length);
    Object.values(node).forEach(visit);
  };
  visit(parseSync(file, source).program);
  return found;
}

// Writes the lists in docs/file-format.md from the code that holds them, so that the two cannot drift apart: the kinds of event with
// their fields, and the tables. `fileFormat.test.ts` holds the page to it.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { dictionaryRows } from '../core/formats/dictionary';
import { SUBJECT_KINDS } from '../core/ids';
import { eventSchema, SCHEMA_VERSION, SUBJECT_FIELD, type EventKind } from '../core/ledger';
import { KIND_WORDS } from './kindWords';

export const PAGE = join(__dirname, '../docs/file-format.md');

interface Described {
  readonly type?: string;
  readonly flags?: { readonly presence?: string; readonly only?: boolean };
  readonly allow?: readonly unknown[];
  readonly keys?: Readonly<Record<string, Described>>;
  readonly items?: readonly Described[];
}

/** More values than this are looked up in the schema beside the page. */
const MOST_VALUES = 8;
const ENVELOPE = ['id', 'v', 'at', 'by', 'device', 'kind'];

/** `cause` (or null), (`size`: optional), and what a list or an object holds. */
function fieldText(name: string, field: Described): string {
  const values = field.flags?.only ? (field.allow ?? []).filter((value) => value !== null) : [];
  const named = values.length > 0 && values.length <= MOST_VALUES;
  const inner = field.keys ?? field.items?.[0]?.keys;
  const says = [
    ...(inner ? [`${field.items ? 'each ' : ''}${fieldsText(inner)}`] : []),
    ...(named ? [values.map((value) => `\`${String(value)}\``).join(', ')] : []),
    ...(field.allow?.includes(null) ? ['or null'] : []),
  ];
  const text = `\`${name}\`${says.length > 0 ? ` (${says.join('; ')})` : ''}`;
  return field.flags?.presence === 'required' || field.items ? text : `[${text}]`;
}

function fieldsText(keys: Readonly<Record<string, Described>>): string {
  return Object.entries(keys)
    .filter(([name]) => !ENVELOPE.includes(name))
    .map(([name, field]) => fieldText(name, field))
    .join(', ');
}

const KINDS = Object.keys(SUBJECT_FIELD) as EventKind[];

const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;

function kinds(): string[] {
  return [
    row(['kind', 'says', 'fields']),
    row(['---', '---', '---']),
    ...KINDS.map((kind) => {
      const { keys = {} } = eventSchema(kind).describe() as Described;
      return row([`\`${kind}\``, KIND_WORDS[kind], fieldsText(keys)]);
    }),
  ];
}

function tables(): string[] {
  const columns = new Map<string, string[]>();
  for (const [table, column, meaning] of dictionaryRows().slice(1) as string[][]) {
    const text = meaning === column ? String(column) : `${column} (${meaning})`;
    columns.set(String(table), [...(columns.get(String(table)) ?? []), text]);
  }
  return [...columns].map(([table, texts]) => `- **${table}**: ${texts.join('; ')}.`);
}

const LISTS: Readonly<Record<string, () => string[]>> = {
  version: () => [
    `Events are now of version ${SCHEMA_VERSION}. Subjects have ids of the form \`plant:01J...\`: ${SUBJECT_KINDS.map((kind) => `\`${kind}\``).join(', ')}, then a ULID.`,
  ],
  kinds,
  tables,
};

/** The page with its lists as the code has them. Throws where a list has no place in it. */
export function withLists(page: string): string {
  return Object.entries(LISTS).reduce((text, [name, lines]) => {
    const [from, to] = [`<!-- ${name}: made by scripts/fileFormat.ts -->`, `<!-- end of ${name} -->`];
    const [start, end] = [text.indexOf(from), text.indexOf(to)];
    if (start < 0 || end < start) throw new Error(`docs/file-format.md has no place for the list "${name}".`);
    return `${text.slice(0, start + from.length)}\n\n${lines().join('\n')}\n\n${text.slice(end)}`;
  }, page);
}

if (require.main === module) writeFileSync(PAGE, withLists(readFileSync(PAGE, 'utf8')));

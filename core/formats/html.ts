const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/**
 * Text as it may stand in a page to print: a name with markup stays a name.
 * @example escapeHtml('a<b>') // 'a&lt;b&gt;'
 */
export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (c) => ENTITIES[c] as string);
}

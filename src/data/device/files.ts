/** Hands something written to the browser as a file to keep. */
export function saveFile(name: string, type: string, content: string | ArrayBuffer): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download reads the address a moment later.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Asks for a file. Resolves with `null` when the person thinks better of it. */
export function pickFile(accept = '.json,.txt,application/json,text/plain'): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}

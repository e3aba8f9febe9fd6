const RELEASE_AFTER_MS = 10_000;

/** Hands a text to the browser as a file to keep. */
export function saveTextFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser reads the file after this call returns.
  setTimeout(() => URL.revokeObjectURL(url), RELEASE_AFTER_MS);
}

/** A name as part of a file's name: letters that every system knows, "file" where there are none. */
export function fileNameOf(name: string): string {
  const plain = name
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return plain.toLowerCase() || 'file';
}

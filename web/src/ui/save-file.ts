/** Offers bytes or text to the browser as a file to keep. */
export function saveFile(name: string, content: string | Uint8Array, type: string): void {
  const part = typeof content === 'string' ? content : Uint8Array.from(content);
  const address = URL.createObjectURL(new Blob([part], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** A name as a file may bear it: letters, digits and dashes. */
export function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
      .replaceAll(/^-|-$/g, '') || 'exercise'
  );
}

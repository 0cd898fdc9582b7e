/** Hands a file to the person. */
export function saveAs(name: string, type: string, content: BlobPart | Uint8Array): void {
  const address = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** Hands a file to the browser's downloads. */
export const saveAs = (name: string, type: string, content: string | Uint8Array): void => {
  const address = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
};

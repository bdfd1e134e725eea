/** Gives a file to the browser's downloads. */
export function download(file: { readonly name: string; readonly type: string; readonly bytes: Uint8Array }): void {
  const url = URL.createObjectURL(new Blob([file.bytes.slice().buffer], { type: file.type }));
  const link = document.createElement("a");
  link.href = url;
  link.download = file.name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

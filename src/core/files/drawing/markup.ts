const ESCAPES: Readonly<Record<string, string>> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
  "'": "&#39;",
};

/** Text as it stands in a drawing or a page, between marks or within an attribute. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => ESCAPES[c] as string);

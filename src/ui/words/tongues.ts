import type { Catalog } from "@/locale/catalog";

/** The tongues Eland speaks, by their tag, as each names itself; the words of all but English are fetched when spoken. */
export const TONGUES = {
  en: { name: "English", load: null },
  de: { name: "Deutsch", load: () => import("@/locale/de").then((m) => m.GERMAN) },
} as const satisfies Readonly<
  Record<string, { readonly name: string; readonly load: (() => Promise<Catalog>) | null }>
>;

export type TongueTag = keyof typeof TONGUES;

/** Where the browser keeps which tongue was chosen, so that a page comes in it from the start. */
export const TONGUE_COOKIE = "eland-tongue";
const YEAR_S = 365 * 24 * 3600;

/** A tongue by what the browser kept; English where it kept nothing that is known. */
export const tongueFrom = (kept: string | undefined): TongueTag =>
  kept !== undefined && Object.hasOwn(TONGUES, kept) ? (kept as TongueTag) : "en";

/** Has everything said in another tongue from here on: the page starts anew in it, with all that was written. */
export function chooseTongue(tag: TongueTag): void {
  document.cookie = `${TONGUE_COOKIE}=${tag}; path=/; max-age=${YEAR_S}; samesite=lax`;
  window.location.reload();
}

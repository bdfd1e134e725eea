import { speak, type Locale } from "@/core/words";
import { createInstance } from "i18next";
import { keepSpoken, type Catalog } from "./catalog";

/** English is the key: no part of it parts keys. What a text is filled with is put in where it is told. */
const KEYS_ARE_TEXTS = { keySeparator: false, nsSeparator: false } as const;

/** A language as the core asks for it; a text it has no words for stays English. */
export function localeOf({ messages, ...writes }: Catalog): Locale {
  const i18n = createInstance();
  void i18n.init({
    ...KEYS_ARE_TEXTS,
    lng: writes.tag,
    fallbackLng: false,
    resources: { [writes.tag]: { translation: messages } },
    initAsync: false,
  });
  const message = (english: string): string | undefined =>
    i18n.exists(english) ? i18n.t(english, { skipInterpolation: true }) : undefined;
  return { ...writes, message };
}

/** Has everything told in a language from here on: one page, one worker, one language. */
export function speakFrom(catalog: Catalog): void {
  keepSpoken(catalog);
  speak(localeOf(catalog));
}

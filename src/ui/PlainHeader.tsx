import Link from "next/link";
import type { ReactNode } from "react";
import { Mark } from "./Header";

/** The head of a page that belongs to no job: the mark, which leads to the workroom, a word, and what can be done. */
export function PlainHeader({ word, children }: { readonly word: string | null; readonly children?: ReactNode }) {
  return (
    <header
      style={{
        display: "flex",
        alignItems: "center",
        gap: 12,
        background: "var(--ink)",
        color: "var(--on-ink)",
        padding: "0 clamp(12px, 3vw, 24px)",
        height: 52,
        flexShrink: 0,
      }}
    >
      <Link
        href="/"
        aria-label="To the workroom"
        style={{ color: "inherit", display: "flex", alignItems: "center", gap: 12, textDecoration: "none" }}
      >
        <Mark />
        <span style={{ fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 22 }}>Eland</span>
      </Link>
      {word ? <span style={{ opacity: 0.85 }}>{word}</span> : null}
      <span style={{ flex: 1 }} />
      {children}
    </header>
  );
}

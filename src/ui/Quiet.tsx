"use client";
import type { ReactNode } from "react";

/** A small underlined act beside what it acts on. */
export function Quiet({ children, onPress }: { readonly children: ReactNode; readonly onPress: () => void }) {
  return (
    <button
      type="button"
      onClick={onPress}
      style={{ all: "unset", cursor: "pointer", textDecoration: "underline", textUnderlineOffset: 3, fontSize: 13 }}
    >
      {children}
    </button>
  );
}

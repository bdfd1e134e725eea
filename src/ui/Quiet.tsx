"use client";
import type { ReactNode } from "react";

interface Props {
  readonly children: ReactNode;
  readonly onPress: () => void;
  /** What it is called where its words alone do not say enough. */
  readonly label?: string;
}

/** A small underlined act beside what it acts on. */
export function Quiet({ children, onPress, label }: Props) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onPress}
      style={{ all: "unset", cursor: "pointer", textDecoration: "underline", textUnderlineOffset: 3, fontSize: 13 }}
    >
      {children}
    </button>
  );
}

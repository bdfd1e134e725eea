"use client";
import Button from "@mui/material/Button";
import { fileStem } from "@/core/files/handedFile";
import type { Unreadable } from "@/store/database";
import { download } from "../download";
import { Sentence } from "../Sentence";

const KIND: Partial<Record<Unreadable["shelf"], string>> = { jobs: "job", cards: "card", styles: "style" };

/** Gives a record to the downloads exactly as it lies in the store. */
export function handOverRaw({ name, raw }: Unreadable): void {
  const bytes = new TextEncoder().encode(`${JSON.stringify(raw, null, 2)}\n`);
  download({ name: `${fileStem(name)}-as-kept.json`, type: "application/json", bytes });
}

/** What is kept in this browser and cannot be read by this Eland: named, with the reason, and handed over as it lies. */
export function UnreadableList({ unreadable }: { readonly unreadable: readonly Unreadable[] }) {
  if (unreadable.length === 0) return null;
  return (
    <section aria-label="Cannot be read here" style={{ marginTop: 32, maxWidth: 820 }}>
      <h2 style={{ fontFamily: '"Bricolage Grotesque Variable"', fontSize: 20, margin: "0 0 4px" }}>
        Kept, but cannot be read here
      </h2>
      <p style={{ color: "var(--quiet)", margin: "0 0 8px" }}>
        Nothing of these is changed or written over. Hand one over to open it with the Eland it came from.
      </p>
      <ul style={{ listStyle: "none", margin: 0, padding: 0 }}>
        {unreadable.map((held) => (
          <li
            key={`${held.shelf}-${held.id}`}
            style={{
              display: "flex",
              gap: 16,
              alignItems: "center",
              padding: "8px 0",
              borderTop: "1px solid var(--rule)",
            }}
          >
            <div style={{ flex: 1 }}>
              <b>{held.name}</b> <span style={{ color: "var(--quiet)" }}>{KIND[held.shelf] ?? "record"}</span>
              <div>
                {held.errors.slice(0, 2).map((error, i) => (
                  <div key={i}>
                    {error.path ? <span style={{ color: "var(--quiet)" }}>{error.path}: </span> : null}
                    <Sentence says={error.says} tape="cm" />
                  </div>
                ))}
              </div>
            </div>
            <Button variant="outlined" onClick={() => handOverRaw(held)}>
              Hand over as it lies
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

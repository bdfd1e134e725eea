import type { Metadata } from "next";
import Link from "next/link";
import { notices, type Notice } from "./packages";

export const metadata: Metadata = { title: "Licences · Eland" };

/** Packages that ship the same text, together. */
function byText(all: readonly Notice[]): readonly (readonly Notice[])[] {
  const groups = new Map<string, Notice[]>();
  for (const notice of all) {
    const key = notice.text ?? `${notice.licence} ${notice.name}`;
    groups.set(key, [...(groups.get(key) ?? []), notice]);
  }
  return [...groups.values()];
}

/** The licences of the fonts and packages that Eland is made with, as they ship them. */
export default function Notices() {
  return (
    <main style={{ maxWidth: 860, margin: "0 auto", padding: "24px 20px 60px" }}>
      <h1 style={{ fontFamily: "var(--display)", fontSize: 30, margin: "0 0 6px" }}>Licences</h1>
      <p style={{ margin: "0 0 20px" }}>
        The fonts and packages that are part of Eland, with their licences as they ship them.{" "}
        <Link href="/">Back to the workroom</Link>
      </p>
      <div translate="no">
        {byText(notices()).map((group) => (
          <details key={group[0]?.name} style={{ borderTop: "1px solid var(--rule)", padding: "6px 0" }}>
            <summary style={{ cursor: "pointer", minHeight: 28 }}>
              {group.map(({ name, version }) => `${name} ${version}`).join(", ")}
              <span style={{ color: "var(--quiet)" }}> {group[0]?.licence}</span>
            </summary>
            <pre style={{ whiteSpace: "pre-wrap", font: "inherit", fontSize: 13, margin: "6px 0 10px" }}>
              {group[0]?.text ?? group[0]?.licence}
            </pre>
          </details>
        ))}
      </div>
    </main>
  );
}

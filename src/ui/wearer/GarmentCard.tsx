import { phrase } from "@/core/words";
import Link from "next/link";
import { STYLES } from "@/core/styles";
import { formatLength, type Tape } from "@/core/units";
import { dayOf } from "../dayOf";
import { stageHref } from "../stages";
import { WornView } from "../WornView";
import type { GarmentOf } from "./useWearer";

/** One garment as it is worn, with what it measures at hip and hem and how often it was fitted. */
export function GarmentCard({ garment, tape }: { readonly garment: GarmentOf; readonly tape: Tape }) {
  const { id, job, worn } = garment;
  const count = job.fittings?.length ?? 0;
  const name = job.name || "Unnamed job";
  return (
    <article style={{ background: "var(--panel)", border: "1px solid var(--rule)", borderRadius: 6, padding: 12 }}>
      <div style={{ height: 250, display: "grid", placeItems: "center" }}>
        {worn === "waits" ? (
          <span style={{ color: "var(--quiet)" }}>Drawing.</span>
        ) : worn === null ? (
          <span style={{ color: "var(--fault)" }}>It cannot be drawn as it stands.</span>
        ) : (
          <WornView
            worn={worn.worn}
            view="front"
            label={phrase`${name}, worn`}
            style={{ width: "100%", height: 250 }}
          />
        )}
      </div>
      <Link href={stageHref("restyle", id)} style={{ color: "var(--text)", fontWeight: 700 }}>
        {name}
      </Link>
      <div style={{ color: "var(--quiet)", fontSize: 13, lineHeight: 1.4 }}>
        {STYLES[job.style.id]?.label ?? job.style.id}
        {job.date ? `, ${dayOf(job.date)}` : ""}
        {job.body.taken ? phrase`, card of ${dayOf(job.body.taken)}` : ""}
        {worn !== "waits" && worn !== null ? (
          <div>
            {worn.readings.outseam > 0 ? phrase`Hip ${formatLength(worn.readings.hipGirth, tape)}, hem ` : "Hem "}
            {formatLength(worn.readings.hemGirth, tape)}
          </div>
        ) : null}
        <div>{count === 0 ? "not fitted yet" : count === 1 ? "fitted once" : phrase`fitted ${count} times`}</div>
      </div>
    </article>
  );
}

"use client";
import type { Schools } from "@/core/making";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { PaneHeading } from "@/ui/StageLayout";

const CLOSING: readonly (readonly [Schools["closing"], string])[] = [
  ["crotch-first", "crotch first, inseam in one run"],
  ["legs-first", "legs first, crotch in one run"],
  ["sides-first", "sides first, shaped on the cloth"],
];
const ZIP: readonly (readonly [Schools["zip"], string])[] = [
  ["before-sides", "before the sides"],
  ["after-band", "after the band"],
  ["last", "last of all"],
];
const HEM: readonly (readonly [Schools["hem"], string])[] = [
  ["first", "when the legs are closed"],
  ["before-band", "before the band"],
  ["last", "last"],
];

/** In which order the maker works: how the legs are closed, and when zip and hem are done. */
export function SchoolsPane({ schools }: { readonly schools: Schools }) {
  const choose = (more: Partial<Schools>): void =>
    changeJob((draft) => {
      draft.making = { ...draft.making, ...more };
    });
  return (
    <>
      <PaneHeading>In which order</PaneHeading>
      <Choice
        label="Legs are closed"
        value={schools.closing}
        options={CLOSING}
        width="above"
        onChange={(closing) => choose({ closing })}
      />
      <Choice label="The zip" value={schools.zip} options={ZIP} width="above" onChange={(zip) => choose({ zip })} />
      <Choice label="The hem" value={schools.hem} options={HEM} width="above" onChange={(hem) => choose({ hem })} />
    </>
  );
}

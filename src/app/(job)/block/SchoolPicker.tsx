"use client";
import Radio from "@mui/material/Radio";
import { OWN_SCHOOL, SCHOOLS, type SchoolId } from "@/core/drafting";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";

/** Which school drafts the base, with a sentence for what it does and whom it suits. */
export function SchoolPicker() {
  const { job } = useOpenJob();
  const chosen = job.block.school;
  const choose = (school: SchoolId): void => changeJob((draft) => void (draft.block.school = school));
  return (
    <fieldset style={{ border: 0, margin: "0 0 10px", padding: 0 }}>
      <legend style={{ padding: 0 }}>
        <PaneHeading>School</PaneHeading>
      </legend>
      {[...Object.values(SCHOOLS), OWN_SCHOOL].map(({ id, label, note }) => (
        <label
          key={id}
          style={{
            display: "grid",
            gridTemplateColumns: "28px 1fr",
            alignItems: "start",
            cursor: "pointer",
            padding: "2px 0",
          }}
        >
          <Radio
            size="small"
            name="school"
            checked={chosen === id}
            onChange={() => choose(id as SchoolId)}
            sx={{ p: 0.25, color: "var(--quiet)", "&.Mui-checked": { color: "var(--chalk-text)" } }}
          />
          <span>
            <span style={{ fontWeight: chosen === id ? 700 : 450 }}>{label}</span>
            {chosen === id ? (
              <span style={{ display: "block", color: "var(--quiet)", fontSize: 13 }}>{note}</span>
            ) : null}
          </span>
        </label>
      ))}
    </fieldset>
  );
}

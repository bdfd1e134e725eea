"use client";
import { phrase } from "@/core/words";
import { useSnackbar } from "notistack";
import { useHints, wantHints } from "@/store/hintStore";
import { HOME_PAPERS } from "../homePapers";
import { guideFile, NO_GUIDE } from "../help/guideFile";
import { Quiet } from "../Quiet";
import { useSave } from "../useSave";

/** For those who are new: hints in each stage, and the guide on one page. */
export function NewHere() {
  const { enqueueSnackbar } = useSnackbar();
  const save = useSave();
  const wanted = useHints((h) => h.wanted);
  return (
    <span>
      New here?{" "}
      {wanted ? (
        "Each stage says what to try first"
      ) : (
        <Quiet
          onPress={() => {
            wantHints();
            enqueueSnackbar(phrase`Open a job: each stage says what to try first.`);
          }}
        >
          Try each stage with a hint
        </Quiet>
      )}
      , or print the guide on one page:{" "}
      {HOME_PAPERS.map(([paper, name], i) => (
        <span key={paper}>
          {i > 0 ? ", " : ""}
          <Quiet onPress={() => void save(guideFile(paper), NO_GUIDE)}>{name}</Quiet>
        </span>
      ))}
      .
    </span>
  );
}

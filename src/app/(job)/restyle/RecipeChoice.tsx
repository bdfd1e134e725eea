"use client";
import { STYLES } from "@/core/styles";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";

/** Where a style is made in several ways, which of them: each is a list of moves of its own. */
export function RecipeChoice() {
  const { job } = useOpenJob();
  const { recipes, defaults } = STYLES[job.style.id] ?? {};
  if (!recipes) return null;
  const chosen = job.style.params[recipes.by] ?? defaults?.[recipes.by];
  return (
    <Choice
      label={recipes.label}
      value={String(chosen)}
      width="above"
      options={Object.keys(recipes.moves).map((value) => [value, recipes.words[value] ?? value] as const)}
      onChange={(value) =>
        changeJob((draft) => {
          draft.style.params = { ...draft.style.params, [recipes.by]: value };
          delete draft.moves;
          ownMoves(draft);
        })
      }
    />
  );
}

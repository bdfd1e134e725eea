import type { minutesLearned, Step } from "@/core/making";
import type { MakingProgress } from "@/store/makingStore";
import { PaneHeading } from "@/ui/StageLayout";

/** How many steps are done, and the minutes that are left by what is known of them. */
export function HowFar({
  order,
  progress,
}: {
  readonly order: ReturnType<typeof minutesLearned<Step>>;
  readonly progress: MakingProgress | null;
}) {
  const done = order.filter((o) => progress?.done[o.id]);
  const left = order.filter((o) => !progress?.done[o.id]).reduce((sum, o) => sum + o.minutes, 0);
  return (
    <>
      <PaneHeading>How far it is</PaneHeading>
      <p style={{ lineHeight: 1.45 }}>
        {done.length} of {order.length} steps done. About{" "}
        {Math.floor(left / 60) > 0 ? `${Math.floor(left / 60)} h ` : ""}
        {left % 60} min are left,{" "}
        {order.some((o) => o.isLearned)
          ? "by what your last five of a kind took, and else by guess."
          : "by guess from the length of the seams."}
      </p>
    </>
  );
}

/** @jest-environment jsdom */
import "@/ui/testing/browser";
import { act, cleanup, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { useHints, wantHints } from "@/store/hintStore";
import { changeJob } from "@/store/jobStore";
import { onBench } from "@/ui/testing/Bench";
import { Hint } from "./Hint";

const job = palazzoJob(HAND_BODY);
beforeEach(() => act(wantHints));

test("a stage is hinted at until what it says is done, and then says where the work goes on", () => {
  onBench(job, <Hint stage="cloth" />);
  expect(screen.getByRole("status").textContent).toMatch(/^Try it\. Say how wide your cloth is/);
  act(() =>
    changeJob((draft) => {
      draft.cloth = { width: "140 cm" };
    }),
  );
  expect(screen.getByRole("status").textContent).toMatch(/^That is how\. Then on to Make\./);
  expect(useHints.getState().done).toEqual(["cloth"]);
});

test("what was done is not hinted at when the stage is opened again; nothing is, once hints are left", async () => {
  act(() => useHints.setState({ done: ["cloth"] }));
  const { container } = onBench(job, <Hint stage="cloth" />);
  expect(container.innerHTML).toBe("");
  cleanup();
  onBench(job, <Hint stage="diary" />);
  await userEvent.click(screen.getByRole("button", { name: "No more hints" }));
  expect(screen.queryByRole("status")).toBeNull();
  expect(useHints.getState().wanted).toBe(false);
});

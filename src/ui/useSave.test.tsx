/** @jest-environment jsdom */
import "@/ui/testing/browser";
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { SnackbarProvider } from "notistack";
import type { HandedFile } from "@/core/files";
import { WorkEnded } from "@/workers/supervised";
import { download } from "./download";
import { useSave } from "./useSave";

jest.mock("./download", () => ({ download: jest.fn() }));

const FILE: HandedFile = { name: "heron-cards.html", type: "text/html", bytes: new Uint8Array([1]) };

function Saver({ making }: { readonly making: () => Promise<HandedFile> }) {
  const save = useSave();
  return <button onClick={() => void save(making(), "The cards could not be saved.")}>save</button>;
}

const press = async (making: () => Promise<HandedFile>): Promise<void> => {
  render(
    <SnackbarProvider>
      <Saver making={making} />
    </SnackbarProvider>,
  );
  await userEvent.click(screen.getByRole("button", { name: "save" }));
};

test("a file that is made goes to the downloads, and its name is said", async () => {
  await press(() => Promise.resolve(FILE));
  expect(await screen.findByText("heron-cards.html is in your downloads.")).toBeTruthy();
  expect(jest.mocked(download).mock.calls).toEqual([[FILE]]);
});

test("one that cannot be made is said: by its own sentence, or by what was wanted", async () => {
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  await press(() => Promise.reject(new WorkEnded("The front is wider than the paper.")));
  expect(await screen.findByText("The front is wider than the paper.")).toBeTruthy();
  cleanup();
  await press(() => Promise.reject(new Error("of the program")));
  expect(await screen.findByText("The cards could not be saved.")).toBeTruthy();
  expect(jest.mocked(download)).toHaveBeenCalledTimes(1);
});

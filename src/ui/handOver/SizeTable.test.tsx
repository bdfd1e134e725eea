/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import { SizeTable } from "./SizeTable";

test("each size beside the first, with by how much it differs; what is equal or missing says no more", () => {
  render(
    <SizeTable
      names={["Marit", "Ilse"]}
      rows={[
        { label: "Hip", mm: [1000, 1040] },
        { label: "Waist", mm: [760, 740] },
        { label: "Side seam", mm: [1040, 1040.2] },
        { label: "Knee", mm: [null, 400] },
      ]}
      tape="cm"
    />,
  );
  const row = (name: string): string =>
    within(screen.getByRole("row", { name: new RegExp(`^${name}`) }))
      .getAllByRole("cell")
      .map((c) => c.textContent)
      .join("|");
  expect(row("Hip")).toBe("100.0|104.0 +4.0");
  expect(row("Waist")).toBe("76.0|74.0 −2.0");
  expect(row("Side seam")).toBe("104.0|104.0");
  expect(row("Knee")).toBe("none|40.0");
});

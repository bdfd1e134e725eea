import { createSvgIcon } from "@mui/material/utils";

/** One drawn line on the 24 grid, as thick as the letters beside it. */
const drawn = (name: string, path: string) =>
  createSvgIcon(
    <path d={path} fill="none" stroke="currentColor" strokeWidth={2} strokeLinecap="round" strokeLinejoin="round" />,
    name,
  );

export const UndoIcon = drawn("undo", "M8 5 L4 9 L8 13 M4 9 H14 A5 5 0 0 1 14 19 H9");
export const RedoIcon = drawn("redo", "M16 5 L20 9 L16 13 M20 9 H10 A5 5 0 0 0 10 19 H15");
export const SearchIcon = drawn("search", "M16 10.5 A5.5 5.5 0 1 1 5 10.5 A5.5 5.5 0 1 1 16 10.5 M14.5 14.5 L20 20");
export const OpenIcon = drawn("open", "M3 18 V6 H9 L11 8.5 H20 V18 Z");
export const RemoveIcon = drawn("remove", "M4 7 H20 M9 7 V4 H15 V7 M6.5 7 L7.5 20 H16.5 L17.5 7 M10 11 V16 M14 11 V16");

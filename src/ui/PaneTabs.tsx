"use client";
import Tab from "@mui/material/Tab";
import Tabs from "@mui/material/Tabs";

/** A row of small tabs at the head of a pane. */
export function PaneTabs<T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly tabs: readonly (readonly [T, string])[];
  readonly onChange: (value: T) => void;
}) {
  return (
    <Tabs
      value={props.value}
      aria-label={props.label}
      variant="fullWidth"
      onChange={(_event, value: T) => props.onChange(value)}
      sx={{
        minHeight: 34,
        mb: 1.5,
        borderBottom: "1px solid var(--rule)",
        "& .MuiTab-root": { minHeight: 34, minWidth: 0, p: "4px 6px", fontWeight: 600, color: "var(--quiet)" },
        "& .Mui-selected": { color: "var(--text) !important" },
        "& .MuiTabs-indicator": { backgroundColor: "var(--chalk)", height: 3 },
      }}
    >
      {props.tabs.map(([value, text]) => (
        <Tab key={value} value={value} label={text} />
      ))}
    </Tabs>
  );
}

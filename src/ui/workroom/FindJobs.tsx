import type { SortBy } from "./wearers";

interface Props {
  readonly search: string;
  readonly sort: SortBy;
  readonly onSearch: (search: string) => void;
  readonly onSort: (sort: SortBy) => void;
}

const ORDERS: readonly (readonly [SortBy, string])[] = [
  ["changed", "last change"],
  ["name", "name"],
  ["wearer", "wearer"],
];

/** What is looked for among the jobs, and the order they are shown in. */
export function FindJobs({ search, sort, onSearch, onSort }: Props) {
  return (
    <>
      <input
        type="search"
        className="plain-field"
        placeholder="Search"
        value={search}
        aria-label="Search jobs by name, wearer, style or cloth"
        onChange={(event) => onSearch(event.target.value)}
        style={{ width: 220 }}
      />
      <label style={{ display: "flex", alignItems: "center", gap: 8 }}>
        In order of
        <select className="plain-field" value={sort} onChange={(event) => onSort(event.target.value as SortBy)}>
          {ORDERS.map(([order, words]) => (
            <option key={order} value={order}>
              {words}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}

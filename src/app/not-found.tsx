import Link from "next/link";

export default function NotFound() {
  return (
    <main style={{ padding: 48 }}>
      <h1>There is no such page</h1>
      <p>
        <Link href="/">Go to the workroom</Link>, where the jobs are.
      </p>
    </main>
  );
}

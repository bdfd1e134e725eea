import { newestOnly } from "./supervised";

/** A run that ends when it is told to. */
function slow() {
  const started: string[] = [];
  const ends = new Map<string, (fails?: boolean) => void>();
  const run = (name: string): Promise<string> => {
    started.push(name);
    return new Promise((resolve, reject) =>
      ends.set(name, (fails) => (fails ? reject(new Error(name)) : resolve(`${name} done`))),
    );
  };
  return { run, started, end: (name: string, fails = false) => ends.get(name)?.(fails) };
}

test("what is asked while it works waits, and only the newest is worked on", async () => {
  const { run, started, end } = slow();
  const ask = newestOnly(run);
  const [a, b, c] = [ask("a"), ask("b"), ask("c")];
  expect(started).toEqual(["a"]);
  expect(await b).toBeNull();
  end("a");
  expect(await a).toBe("a done");
  await Promise.resolve();
  expect(started).toEqual(["a", "c"]);
  end("c");
  expect(await c).toBe("c done");
});

test("a request that fails does not hold up the next", async () => {
  const { run, end } = slow();
  const ask = newestOnly(run);
  const [a, b] = [ask("a"), ask("b")];
  end("a", true);
  await expect(a).rejects.toThrow("a");
  await Promise.resolve();
  end("b");
  expect(await b).toBe("b done");
});

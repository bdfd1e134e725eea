import { tell, tellSum, type Sentence } from "../units";

/** Matchers for what is said: sentences are told in centimetres, sums in the millimetres a test states. */
declare global {
  // The matchers of jest are declared in this namespace.
  // eslint-disable-next-line @typescript-eslint/no-namespace
  namespace jest {
    interface Matchers<R> {
      /** The sentence holds these words, told in centimetres. */
      toSay(words: string | RegExp): R;
      /** The sum reads just so in millimetres. */
      toSum(sum: string): R;
    }
    interface Expect {
      toSay(words: string | RegExp): unknown;
    }
  }
}

const isSentence = (value: unknown): value is Sentence =>
  typeof value === "object" && value !== null && "text" in value && "values" in value;

expect.extend({
  toSay(received: unknown, words: string | RegExp) {
    const text = isSentence(received) ? tell(received, "cm") : null;
    const pass = text !== null && (typeof words === "string" ? text.includes(words) : words.test(text));
    return {
      pass,
      message: () => `${text === null ? this.utils.printReceived(received) : `“${text}”`} against ${String(words)}`,
    };
  },
  toSum(received: unknown, sum: string) {
    const text = isSentence(received) ? tellSum(received, "mm") : null;
    return { pass: text === sum, message: () => `the sum is “${text}”, not “${sum}”` };
  },
});

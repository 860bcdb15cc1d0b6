import { OwnServer } from "../tests/own-server";
import { test } from "./test";

/** A server of the file's own with the demo, there while its tests run. */
export function demoServer(): { readonly url: string; readonly file: string } {
  let own: OwnServer;
  test.beforeAll(async () => {
    own = new OwnServer().seed();
    await own.start();
  });
  test.afterAll(() => own.remove());
  return {
    get url() {
      return own.url;
    },
    /** Its data. */
    get file() {
      return own.file;
    },
  };
}

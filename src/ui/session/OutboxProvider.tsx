"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from "react";
import { issueText } from "@/core/shared/issue-text";
import { whenAlive } from "../kit/page-alive";
import { COLOUR } from "../theme/tokens";
import { deviceLetters, isOpenTab, nameOfTab } from "./device";
import { NOTHING_WAITS, Outbox } from "./outbox";
import { browserTimers } from "./platform";
import { sendersFor, type Actions } from "./senders";
import { waitingText } from "./waiting-text";

const Context = createContext<Outbox | undefined>(undefined);

/** What waits for the server in this tab. */
export function useOutbox(): Outbox {
  const value = useContext(Context);
  if (!value) throw new Error("useOutbox needs an OutboxProvider");
  return value;
}

const OFF_PAGE: Outbox = new Outbox({
  tab: "server",
  letters: { put: async () => undefined, remove: async () => undefined, all: async () => [] },
  senders: {},
  timers: browserTimers,
  isOpen: async () => true,
  today: () => 0,
});

/** Keeps what the server has not taken yet, over all pages, and says how much that is. */
export function OutboxProvider({ actions, children }: { actions: Actions; children: ReactNode }) {
  const [outbox] = useState(() =>
    typeof window === "undefined"
      ? OFF_PAGE
      : new Outbox({
          tab: nameOfTab(),
          letters: deviceLetters,
          senders: sendersFor(actions),
          timers: browserTimers,
          isOpen: isOpenTab,
          today: Date.now,
        }),
  );
  const waits = useSyncExternalStore(
    outbox.subscribe,
    () => outbox.state,
    () => NOTHING_WAITS,
  );
  const { refused } = waits;
  const waiting = waitingText(waits);
  useEffect(() => {
    let stop = () => undefined as void;
    const wait = whenAlive(() => (stop = outbox.open()));
    const warn = (event: BeforeUnloadEvent) => {
      if (outbox.state.waiting > 0) event.preventDefault();
    };
    window.addEventListener("online", outbox.tryNow);
    window.addEventListener("beforeunload", warn);
    return () => {
      wait();
      stop();
      window.removeEventListener("online", outbox.tryNow);
      window.removeEventListener("beforeunload", warn);
    };
  }, [outbox]);
  return (
    <Context.Provider value={outbox}>
      {children}
      {(waiting || refused.length > 0) && (
        <Box
          role="status"
          aria-label="What waits for the server"
          sx={{
            position: "fixed",
            left: 16,
            bottom: 16,
            zIndex: 1400,
            maxWidth: "min(560px, calc(100vw - 32px))",
            background: COLOUR.ink,
            color: "#fff",
            px: 2,
            py: 1,
            borderRadius: "3px",
            display: "grid",
            gap: 0.5,
            fontSize: "0.875rem",
          }}
        >
          {waiting && (
            <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
              {waiting}; kept on this device.
              <Button
                size="small"
                variant="outlined"
                onClick={outbox.tryNow}
                sx={{ color: "inherit", borderColor: "currentColor" }}
              >
                Send now
              </Button>
            </Box>
          )}
          {refused.map(({ document, issue }) => (
            <div key={document}>
              {issueText(issue, "What was changed on this device")}. It is kept here until its page is opened again.
            </div>
          ))}
        </Box>
      )}
    </Context.Provider>
  );
}

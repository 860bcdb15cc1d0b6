"use client";
import Box, { type BoxProps } from "@mui/material/Box";
import { keyframes } from "@mui/material/styles";
import { useEffect, useSyncExternalStore } from "react";
import { pageIsAlive } from "./page-alive";

const never = () => () => undefined;
const dim = keyframes({ to: { opacity: 0.6 } });

/**
 * The part of a page that is worked in. It takes nothing before the page's program is there: what is pressed or typed
 * earlier would be lost without a word. On a slow line that is seen.
 */
export function Main({ sx, ...rest }: BoxProps) {
  const isAlive = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  useEffect(() => {
    if (isAlive) pageIsAlive();
  }, [isAlive]);
  return (
    <Box
      component="main"
      inert={!isAlive}
      sx={[{ "&[inert]": { cursor: "progress", animation: `${dim} 0.2s 0.8s forwards` } }, ...(Array.isArray(sx) ? sx : [sx])]}
      {...rest}
    />
  );
}

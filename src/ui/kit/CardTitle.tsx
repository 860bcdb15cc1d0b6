import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Link from "next/link";

/** The name of a card that leads to its page wherever the card is pressed; what else can be pressed there stands above it (`position: relative`). */
export function CardTitle({ href, name }: { href: string; name: string }) {
  return (
    <Typography variant="h2" component="h2">
      <Box
        component={Link}
        href={href}
        sx={{ color: "inherit", textDecoration: "none", "&::after": { content: '""', position: "absolute", inset: 0 } }}
      >
        {name}
      </Box>
    </Typography>
  );
}

"use client";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";

/** A page with the component library and a few of its parts. */
export default function Library() {
  return (
    <Paper component="main">
      <Typography variant="h1">A few parts</Typography>
      <TextField label="A field" />
      <TextField select label="A choice" value="one">
        <MenuItem value="one">One</MenuItem>
      </TextField>
      <Button>A button</Button>
    </Paper>
  );
}

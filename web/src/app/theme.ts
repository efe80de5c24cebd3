import { createTheme, type MantineColorsTuple, Slider } from "@mantine/core";
import slider from "./Slider.module.css";

/** Ink, from paper to night: the one colour of controls. Meaning is carried by the app's own custom properties. */
const ink: MantineColorsTuple = [
  "#f4f1ea",
  "#e2ded4",
  "#c3c4c1",
  "#9aa0a3",
  "#737d83",
  "#566169",
  "#414d56",
  "#303c45",
  "#1f2a33",
  "#141c23",
];

export const theme = createTheme({
  colors: { ink },
  primaryColor: "ink",
  primaryShade: { light: 8, dark: 5 },
  autoContrast: true,
  fontFamily: '"Inter Variable", system-ui, sans-serif',
  headings: { fontFamily: '"Bricolage Grotesque Variable", "Inter Variable", sans-serif' },
  defaultRadius: "md",
  cursorType: "pointer",
  components: { Slider: Slider.extend({ classNames: slider }) },
});

// The tone drawn again when a field has changed. The page works without it: Draw does the same.

import { drawsOnChange, redrawer } from "./redraw.js";

const form = document.getElementById("knobs");

drawsOnChange(form, redrawer(form, document.getElementById("drawn"), {}));

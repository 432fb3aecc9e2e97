/** What browsers say differently, or say at all, before anything else is said. */
export const RESET = `*,
::before,
::after,
::backdrop {
  box-sizing: border-box;
  margin: 0;
  padding: 0;
  border: 0 solid;
}

html {
  line-height: 1.5;
  -webkit-text-size-adjust: 100%;
}

body {
  line-height: inherit;
}

h1,
h2,
h3,
h4,
h5,
h6 {
  font-size: inherit;
  font-weight: inherit;
}

a {
  color: inherit;
  text-decoration: inherit;
}

ol,
ul,
menu {
  list-style: none;
}

img,
svg,
video {
  display: block;
  vertical-align: middle;
}

img,
video {
  max-width: 100%;
  width: auto;
  height: auto;
}

button,
input,
select,
textarea,
::file-selector-button {
  border-radius: 0;
  background-color: transparent;
  color: inherit;
  font: inherit;
  letter-spacing: inherit;
}

button,
input[type="button"],
input[type="reset"],
input[type="submit"],
::file-selector-button {
  appearance: button;
}

textarea {
  resize: vertical;
}

::placeholder {
  opacity: 1;
}

table {
  border-collapse: collapse;
}

summary {
  display: list-item;
}

[hidden]:not([hidden="until-found"]) {
  display: none !important;
}
`

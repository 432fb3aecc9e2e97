import type { InputType } from '../../design/role.js'

/**
 * Words by which layers are named for what they are, in some languages. They are evidence beside shape and place,
 * never needed.
 */
const NAMES = {
  field: 'input field textbox textfield placeholder eingabe feld champ saisie campo pole veld fält',
  area: 'textarea message nachricht comment kommentar mensaje',
  select: 'select dropdown combobox combo picker auswahl auswahlfeld sélecteur selector',
  check: 'checkbox check tickbox kontrollkästchen coche casilla',
  radio: 'radio option',
  button: 'button btn cta knopf schaltfläche taste bouton botón botao bottone przycisk knapp',
  badge: 'badge tag chip pill label status',
  breadcrumb: 'breadcrumb breadcrumbs brotkrumen',
  stepper: 'stepper spinbutton quantity counter anzahl menge zähler quantité cantidad',
  file: 'upload dropzone uploader attachment anhang datei fichier archivo',
  tab: 'tab tabs segmented segment reiter onglet onglets pestaña pestañas',
  accordion: 'accordion faq disclosure collapsible akkordeon accordéon acordeón',
  avatar: 'avatar',
  menu: 'menu dropdown popup menü menú',
  toast: 'toast snackbar notification hinweis meldung',
  dialog: 'dialog modal popup dialogue diálogo',
  header: 'header topbar masthead kopf kopfzeile encabezado',
} as const

type NameKind = keyof typeof NAMES

const SETS = Object.fromEntries(
  Object.entries(NAMES).map(([kind, words]) => [kind, new Set(words.split(' '))]),
) as Record<NameKind, Set<string>>

/** Whether one of some words says what kind a layer is. */
export const isNamed = (words: ReadonlySet<string>, kind: NameKind): boolean => {
  for (const word of words) if (SETS[kind].has(word)) return true
  return false
}

/** Words by which something asks for a file. */
export const ASKS_FILE =
  /\b(upload|browse|choose (a )?file|drag (and|&) drop|drop (your )?(a )?(file|picture|photo)s?)\b|datei(en)? (aus)?wählen|hochladen|ablegen|choisir un fichier|glisser|téléverser|elegir archivo|subir|soltar/iu

const INPUTS: readonly (readonly [InputType, RegExp])[] = [
  ['email', /\be-?mail|courriel|correo|@[\p{L}\d.-]+\.\p{L}{2,}|\p{L}@\p{L}/iu],
  [
    'password',
    /passw|passwort|mot de passe|contraseña|senha|wachtwoord|hasło|lösenord|^[•●*]{4,}$/iu,
  ],
  ['search', /\bsearch|\bsuche|recherch|\bbuscar|\bcerca\b|zoeken|szukaj/iu],
  ['tel', /phone|telefon|téléphone|teléfono|\btel\b|mobile number|^\+?\d[\d ()/-]{7,}$/iu],
  ['url', /\burl\b|website|https?:/iu],
  ['date', /\bdate\b|\bdatum\b|\bfecha\b|^(dd|mm|yyyy|jjjj|tt)[./-]/iu],
]

/** What a text field takes, by the words it shows and those that name it. */
export const inputTypeOf = (label: string, shown: string): InputType => {
  for (const text of [label, shown]) {
    const found = INPUTS.find(([, pattern]) => pattern.test(text.trim()))
    if (found) return found[0]
  }
  return 'text'
}

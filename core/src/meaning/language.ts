/** Short words that are common in a language and rare in the others. */
const COMMON: Readonly<Record<string, string>> = {
  en: 'the and of to is you your with for on are at from this what how all we our',
  de: 'der die das und ist sie ihr mit für auf nicht ein eine zu von den im wir alle dein',
  fr: 'le la les des et est vous votre avec pour sur dans une du aux nous tous au ce',
  es: 'el la los las y es usted su con para en una del por que más todos nuestro al',
  it: 'il lo gli e è di che con per una del della sono più tutti nostro il al dei nel',
  nl: 'de het en is van een met voor op niet zijn uw wij alle onze dat aan bij ook naar',
  pt: 'o os as e é de que com para uma do da em por mais todos nosso ao dos não',
  sv: 'och är att det som en på för med inte av till vi alla din våra från ett om har',
  pl: 'i w na z do się jest nie to dla od po oraz jak twoje nasze wszystkie przez lub są',
}

/** A tag such as `de` or `pt-BR` (RFC 5646): a language, and what else is said of it. */
export const LANGUAGE_TAG = /^[a-z]{2,3}(-[a-z0-9]{2,8}){0,4}$/i

const SETS = Object.entries(COMMON).map(
  ([language, words]) => [language, new Set(words.split(' '))] as const,
)

/** Fewer common words than this tell nothing. */
const LEAST_WORDS = 3

/** The language most texts are in, as a BCP 47 tag, told by its commonest words; English when nothing tells. */
export const findLanguage = (texts: Iterable<string>): string => {
  const counts = new Map<string, number>()
  for (const text of texts) {
    for (const word of text.toLowerCase().split(/[^\p{L}]+/u)) {
      for (const [language, words] of SETS) {
        if (words.has(word)) counts.set(language, (counts.get(language) ?? 0) + 1)
      }
    }
  }
  let best = 'en'
  for (const [language, count] of counts) {
    if (count >= LEAST_WORDS && count > (counts.get(best) ?? 0)) best = language
  }
  return best
}

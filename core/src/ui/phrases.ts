/** What the delivered pages say by themselves, where no design says it. */
export type Phrases = {
  readonly notFound: string
  readonly notFoundHelp: string
  readonly home: string
  readonly menu: string
  readonly close: string
  /** Of the buttons that count a number down and up. */
  readonly less: string
  readonly more: string
  /** What is wrong with a field; `%` stands for its label. */
  readonly missing: string
  readonly invalid: string
  readonly sending: string
  readonly sent: string
  readonly failed: string
}

const ENGLISH: Phrases = {
  notFound: 'Page not found',
  notFoundHelp: 'There is nothing at this address. It may have moved, or the link is wrong.',
  home: 'To the first page',
  menu: 'Menu',
  close: 'Close',
  less: 'Less',
  more: 'More',
  missing: '%: please fill this in.',
  invalid: '%: this does not look right.',
  sending: 'Sending …',
  sent: 'Thank you. Your answers were sent.',
  failed: 'Your answers could not be sent. Please try again.',
}

const PHRASES: Readonly<Record<string, Phrases>> = {
  en: ENGLISH,
  de: {
    notFound: 'Seite nicht gefunden',
    notFoundHelp:
      'Unter dieser Adresse ist nichts. Sie hat sich geändert, oder der Link ist falsch.',
    home: 'Zur ersten Seite',
    menu: 'Menü',
    close: 'Schließen',
    less: 'Weniger',
    more: 'Mehr',
    missing: '%: bitte ausfüllen.',
    invalid: '%: das kann nicht stimmen.',
    sending: 'Wird gesendet …',
    sent: 'Danke. Ihre Angaben wurden gesendet.',
    failed: 'Ihre Angaben konnten nicht gesendet werden. Bitte versuchen Sie es noch einmal.',
  },
  fr: {
    notFound: 'Page introuvable',
    notFoundHelp: "Il n'y a rien à cette adresse. Elle a changé, ou le lien est faux.",
    home: 'Vers la première page',
    menu: 'Menu',
    close: 'Fermer',
    less: 'Moins',
    more: 'Plus',
    missing: '% : à remplir.',
    invalid: '% : cela ne semble pas juste.',
    sending: 'Envoi en cours …',
    sent: 'Merci. Vos réponses ont été envoyées.',
    failed: "Vos réponses n'ont pas pu être envoyées. Veuillez réessayer.",
  },
  es: {
    notFound: 'Página no encontrada',
    notFoundHelp: 'No hay nada en esta dirección. Ha cambiado, o el enlace es incorrecto.',
    home: 'A la primera página',
    menu: 'Menú',
    close: 'Cerrar',
    less: 'Menos',
    more: 'Más',
    missing: '%: rellene este campo.',
    invalid: '%: esto no parece correcto.',
    sending: 'Enviando …',
    sent: 'Gracias. Sus respuestas se han enviado.',
    failed: 'Sus respuestas no se han podido enviar. Inténtelo de nuevo.',
  },
}

/** The phrases of a language, English where there are none; `de-AT` has those of `de`. */
export const phrasesIn = (language: string): Phrases =>
  PHRASES[language.split('-')[0]!.toLowerCase()] ?? ENGLISH

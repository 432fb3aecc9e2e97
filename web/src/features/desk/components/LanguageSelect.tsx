import { useDesk } from '../model/desk-store'

const LANGUAGES = 'ar cs da de el en es fi fr he hi hu it ja ko nb nl pl pt ro sv tr uk zh'.split(
  ' ',
)

const names = new Intl.DisplayNames(['en'], { type: 'language' })

/** The language of the pages: detected from their text until a person chooses one. */
export const LanguageSelect = () => {
  const said = useDesk((s) => s.settings.language)
  const found = useDesk((s) => s.converted?.language)
  const changeSettings = useDesk((s) => s.changeSettings)
  const isOther = said !== undefined && !LANGUAGES.includes(said)
  const detected = found === undefined ? 'Detected' : `Detected: ${names.of(found)}`
  return (
    <label
      className="flex min-w-0 basis-full items-center gap-1.5"
      title="Language of the pages (lang attribute)"
    >
      Language
      <select
        value={said ?? ''}
        onChange={(event) => changeSettings({ language: event.target.value || undefined })}
        className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1 text-xs"
      >
        <option value="">{said === undefined ? detected : 'Detect'}</option>
        {[...LANGUAGES, ...(isOther ? [said] : [])].map((tag) => (
          <option key={tag} value={tag}>
            {names.of(tag)}
          </option>
        ))}
      </select>
    </label>
  )
}

import { useRef, useState } from 'react'
import { isTokenFile, readTokens, toKebab, type TokenProposal } from '@unimorph/core'
import type { TokenRow } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { ActionMenu } from '../../../shared/ui/ActionMenu'
import { Button } from '../../../shared/ui/Button'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { useDesk } from '../model/desk-store'
import { describeToken } from '../model/describe-token'
import { useTokens } from '../model/use-tokens'
import { saveFiles } from './ExportMenu'
import { MergeDialog } from './MergeDialog'
import { StylePage } from './StylePage'
import { TokenSwatch } from './TokenSwatch'

const importTokens = async (files: readonly File[]): Promise<void> => {
  const documents = await Promise.all(
    files.map(async (file) => ({
      name: file.name,
      document: JSON.parse(await file.text()) as unknown,
    })),
  )
  const stranger = documents.find(({ document }) => !isTokenFile(document))
  if (stranger) {
    throw new Error(
      `${stranger.name} holds no tokens. A token file has a $value for each token, as the W3C community group's format says.`,
    )
  }
  const { modes, tokens, notes } = readTokens(documents)
  const problem = notes.find((n) => n.severity !== 'info')
  if (problem) {
    const more = notes.length > 1 ? ` And ${notes.length - 1} more.` : ''
    showProblem(`${problem.message}${more}`)
  }
  if (tokens.length === 0) return
  const { edit } = useDesk.getState()
  await edit({ kind: 'import-tokens', modes: [...modes], tokens: [...tokens] })
}

const accept = (...proposals: readonly TokenProposal[]): void => {
  const { edit } = useDesk.getState()
  const additions = proposals.map(({ token, uses }) => ({
    token,
    uses: uses.map((u) => ({ ...u })),
  }))
  void edit({ kind: 'add-tokens', additions })
}

const countUses = (count: number): string => `${count} use${count === 1 ? '' : 's'}`

type RowProps = {
  readonly token: TokenRow
  readonly onRename: () => void
  readonly onMerge: () => void
}

const Row = ({ token, onRename, onMerge }: RowProps) => {
  const edit = useDesk((s) => s.edit)
  const values = Object.entries(token.values)
  return (
    <li className="flex items-center gap-2 px-3 py-1 hover:bg-sheet">
      {values.map(([mode, value]) => (
        <TokenSwatch key={mode} type={token.type} value={value} title={mode} />
      ))}
      <span className="min-w-0 flex-1">
        <span className="block truncate" title={token.name}>
          {token.name}
        </span>
        <span className="block truncate text-xs text-soft">
          {token.alias ? `= ${token.alias}, ` : ''}
          {values.map(([, value]) => describeToken(token.type, value)).join(' / ')}
        </span>
      </span>
      <span className="text-xs whitespace-nowrap text-soft">{countUses(token.useCount)}</span>
      <ActionMenu
        label={`More for ${token.name}`}
        anchor="bottom end"
        className="h-6 w-6 rounded-sm border border-transparent hover:border-rule"
        actions={[
          ['Rename', onRename],
          ['Merge into …', onMerge],
          ['Remove', () => void edit({ kind: 'remove-token', token: token.name })],
        ]}
      >
        ⋯
      </ActionMenu>
    </li>
  )
}

const Proposal = ({ proposal }: { readonly proposal: TokenProposal }) => {
  const select = useDesk((s) => s.select)
  const [isNaming, setIsNaming] = useState(false)
  const { token, uses } = proposal
  const value = Object.values(token.values as Record<string, unknown>)[0]
  return (
    <li className="flex items-center gap-2 px-3 py-1 hover:bg-sheet">
      <TokenSwatch type={token.type} value={value} title={token.name} />
      <span className="min-w-0 flex-1">
        <button
          type="button"
          title="Accept under another name"
          onClick={() => setIsNaming(true)}
          className="block max-w-full truncate text-left"
        >
          {token.name}
        </button>
        <span className="block truncate text-xs text-soft">{describeToken(token.type, value)}</span>
      </span>
      <button
        type="button"
        title="Select the layers that would use it"
        onClick={() => select([...new Set(uses.map((use) => use.layer))])}
        className="rounded-sm px-1 text-xs whitespace-nowrap text-soft underline hover:bg-tint"
      >
        {countUses(uses.length)}
      </button>
      <Button
        className="h-6! text-xs"
        aria-label={`Accept ${token.name}`}
        onClick={() => accept(proposal)}
      >
        Accept
      </Button>
      {isNaming && (
        <NameDialog
          title="Accept under a name"
          action="Accept"
          initial={token.name}
          onClose={() => setIsNaming(false)}
          onDone={(name) => {
            setIsNaming(false)
            accept({ ...proposal, token: { ...token, name } })
          }}
        />
      )}
    </li>
  )
}

/** The tokens of the design, and those that could be made of what it repeats. */
export const TokensTab = () => {
  const list = useTokens()
  const edit = useDesk((s) => s.edit)
  const project = useDesk((s) => s.project)
  const exportDesign = useDesk((s) => s.export)
  const [renaming, setRenaming] = useState<string>()
  const [merging, setMerging] = useState<TokenRow>()
  const [isShown, setIsShown] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const report = (error: unknown): void => showProblem(messageOf(error))
  if (!list) return <p className="p-3 text-soft">Reading tokens …</p>
  const { tokens, proposals, modes } = list

  return (
    <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Tokens">
      <div className="flex items-center gap-2 border-b border-rule px-3 py-2">
        <span className="min-w-0 flex-1 truncate text-xs text-soft" title={modes.join(', ')}>
          {modes.length > 1 ? `Modes: ${modes.join(', ')}` : ''}
        </span>
        <input
          ref={input}
          type="file"
          multiple
          hidden
          accept=".json"
          aria-label="Token files"
          onChange={(event) => {
            const files = [...(event.target.files ?? [])]
            event.target.value = ''
            importTokens(files).catch(report)
          }}
        />
        <Button className="h-6! text-xs" onClick={() => setIsShown(true)}>
          Style page
        </Button>
        <Button className="h-6! text-xs" onClick={() => input.current?.click()}>
          Import
        </Button>
        <Button
          className="h-6! text-xs"
          disabled={tokens.length === 0}
          onClick={() => {
            const archive = `${toKebab(project?.name ?? '', 'design')}-tokens.zip`
            exportDesign('tokens')
              .then((files) => saveFiles(files, archive))
              .catch(report)
          }}
        >
          Export
        </Button>
      </div>
      {tokens.length === 0 && proposals.length === 0 && (
        <p className="p-3 text-soft">
          The design has no tokens and repeats no value often enough to propose one. Import a token
          file to add some.
        </p>
      )}
      {tokens.length > 0 && (
        <ul aria-label="Tokens of the design" className="py-1">
          {tokens.map((token) => (
            <Row
              key={token.name}
              token={token}
              onRename={() => setRenaming(token.name)}
              onMerge={() => setMerging(token)}
            />
          ))}
        </ul>
      )}
      {proposals.length > 0 && (
        <>
          <div className="flex items-center gap-2 border-y border-rule bg-sheet px-3 py-1.5">
            <h3 className="flex-1 font-semibold">
              <span aria-hidden className="text-doubt">
                ?{' '}
              </span>
              {proposals.length} proposed
            </h3>
            <Button className="h-6! text-xs" onClick={() => accept(...proposals)}>
              Accept all
            </Button>
          </div>
          <p className="px-3 pt-2 text-xs text-soft">
            Code for the web names repeated colours, radii and shadows by itself. Accept a token to
            keep its name, or to change it.
          </p>
          <ul aria-label="Proposed tokens" className="py-1">
            {proposals.map((proposal) => (
              <Proposal key={proposal.token.name} proposal={proposal} />
            ))}
          </ul>
        </>
      )}
      {isShown && <StylePage list={list} onClose={() => setIsShown(false)} />}
      {renaming && (
        <NameDialog
          title="Rename token"
          initial={renaming}
          onClose={() => setRenaming(undefined)}
          onDone={(name) => {
            setRenaming(undefined)
            if (name !== renaming) void edit({ kind: 'rename-token', token: renaming, name })
          }}
        />
      )}
      {merging && (
        <MergeDialog
          token={merging}
          others={tokens.filter((t) => t.type === merging.type && t !== merging)}
          onClose={() => setMerging(undefined)}
          onDone={(into) => {
            setMerging(undefined)
            void edit({ kind: 'merge-token', token: merging.name, into })
          }}
        />
      )}
    </div>
  )
}

import words from '../../../../core/src/main/resources/jalon/words/en.json'
import problem from '../../../../server/src/main/resources/jalon/words/problems.en.json'
import type { Schema } from '../../api/types'
import app from './app'
import archive from './archive'
import blanks from './blanks'
import board from './board'
import bring from './bring'
import card from './card'
import channels from './channels'
import counts from './counts'
import day from './day'
import fieldParts from './fieldParts'
import filing from './filing'
import gap from './gap'
import header from './header'
import image from './image'
import indexDesk from './indexDesk'
import intake from './intake'
import library from './library'
import certainty from './certainty'
import limits from './limits'
import line from './line'
import log from './log'
import names from './names'
import nav from './nav'
import notRead from './notRead'
import pageDesk from './pageDesk'
import password from './password'
import repair from './repair'
import replay from './replay'
import people from './people'
import place from './place'
import places from './places'
import registers from './registers'
import retention from './retention'
import rescans from './rescans'
import rules from './rules'
import samples from './samples'
import scan from './scan'
import shared from './shared'
import signIn from './signIn'
import signInWaits from './signInWaits'
import streamParts from './streamParts'
import streams from './streams'
import table from './table'
import tokens from './tokens'
import versions from './versions'
import changes from './changes'
import watch from './watch'
import workbench from './workbench'

/** All words of the interface, a file for each screen. Codes of the core have the core's: reports use them too. */
export default {
  reason: words.reason satisfies Record<Schema['Reason']['code'], string>,
  problem: problem satisfies Record<Schema['Problem']['code'], string>,
  unread: words.unread satisfies Record<Schema['Unread']['code'], string>,
  ...shared,
  app,
  archive,
  blanks,
  board,
  bring,
  card,
  channels,
  counts,
  day,
  fieldParts,
  filing,
  gap,
  header,
  image,
  indexDesk,
  intake,
  library,
  certainty,
  limits,
  line,
  log,
  names,
  nav,
  notRead,
  pageDesk,
  password,
  repair,
  replay,
  people,
  place,
  places,
  registers,
  retention,
  rescans,
  rules,
  samples,
  scan,
  signIn,
  signInWaits,
  streamParts,
  streams,
  table,
  tokens,
  versions,
  changes,
  watch,
  workbench,
}

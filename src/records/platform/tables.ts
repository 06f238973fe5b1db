// Written by npm run tables from the schema that the migrations make. Do not edit.
import type { Knex } from 'knex';
import type { ClosedCause } from '@/core/clinic';
import type {
  AgainOutcome, Atmosphere, AtmosphereReached, ClayState, Cone, DefectId, EventKind, Fate, FiringKind,
  FiringState, Form, Fullness, GlazeKind, Heat, JudgeCriterion, KilnHeat, KilnPart, LoadState, Method,
  Movement, PieceStage, Place, ReadingStage, ReminderAbout, Role, RoundKind, RoundShape, Severity,
  ShelfFault, Side, Surface, Texture, View,
} from '@/core/vocabulary';

/** A flag as MariaDB keeps it. */
export type Flag = 0 | 1;

/** What may be written for a column: a flag also as a boolean, a day also as text, 2026-11-27. */
type Written<R> = {
  [K in keyof R]: Flag extends R[K] ? R[K] | boolean : Date extends R[K] ? R[K] | string : R[K];
};

type TableType<R> = Knex.CompositeTableType<R, Partial<Written<R>>, Partial<Written<R>>>;

export interface AgainOutcomeRow {
  piece_id: string; firing_id: string; reason: string; outcome: AgainOutcome; member_id: string; at: Date;
}

export interface BatchRow {
  id: string; glaze_version_id: string; code: string; mixed_on: Date; specific_gravity: number | null;
  note: string; ended_at: Date | null;
}

export interface BatchMeasureRow {
  id: string; batch_id: string; at: Date; specific_gravity: number; ml: number | null; done: string;
  member_id: string;
}

export interface BodyRow {
  id: string; name: string; colour_oxidation: string; colour_reduction: string;
  iron: 'none' | 'low' | 'high' | null; coarse: Flag; cone_from: Cone | null; cone_to: Cone | null;
  shrinkage: number | null; absorption: number | null; expansion: number | null; note: string;
  ended_at: Date | null; version: number; made_of: string | null;
}

export interface CaseTryRow {
  id: string; case_id: string; act: string; worked: 'yes' | 'no' | 'not yet'; round_id: string | null;
  member_id: string; at: Date;
}

export interface ChangeRow {
  id: string; member_id: string | null; at: Date; what: string; row_id: string; before_json: string | null;
  after_json: string | null;
}

export interface ClinicCaseRow {
  id: string; number: number; defect: DefectId; piece_id: string | null; answers: string; member_id: string;
  opened_at: Date; closed_at: Date | null; cause: ClosedCause | null; helped: string | null; version: number;
  subject: string | null; cause_words: string | null;
}

export interface CoatRow {
  id: string; piece_id: string; position: number; glaze_id: string; glaze_version_id: string;
  batch_id: string | null; method: Method; times: number; seconds: number | null; side: Side; from: number;
  to: number; dry_before: Flag | null; wiped: Flag; firing_id: string | null; ended_at: Date | null;
  clay: ClayState | null; area: string | null; not_areas: string; cover: string | null; grams: number | null;
  pieces: number | null;
}

export interface CorrectionRow {
  id: string; entry_id: string; member_id: string; text: string; at: Date; settled_by: string | null;
  settled_at: Date | null;
}

export interface EntryRow {
  id: string; key_hash: string; headword_id: string; ground_id: string; cone: Heat; atmosphere: Atmosphere;
  stack: string; firings: number; base_times: number; top_times: number; proofs: number; agreeing: number;
  summary: string | null; worst_defect: DefectId | null; worst_severity: number | null;
  colour: string | null; swatch_hash: string | null; teacher_note: string; first_at: Date | null;
  note_version: number; wall_layers: number | null; history: string;
}

export interface ExpectationRow {
  id: string; piece_id: string; firing_id: string | null; words: string; member_id: string; at: Date;
}

export interface FailedLookupRow {
  base_glaze_id: string; top_glaze_id: string; times: number; at: Date;
}

export interface FateRow {
  id: string; piece_id: string; firing_id: string | null; fate: Fate; member_id: string; at: Date;
  reasons: string;
}

export interface FiringRow {
  id: string; kiln_id: string; number: number; kind: FiringKind; cone: Heat; atmosphere: Atmosphere;
  achieved_cone: number | null; programme: string; remarks: string; state: FiringState; planned_on: Date;
  started_at: Date | null; ended_at: Date | null; opened_at: Date | null; closed_at: Date | null;
  version: number; programme_id: string | null; segments: string | null; starts_at: string;
  logged_cone: number | null; achieved_low: number | null; achieved_high: number | null;
  filed_cone: Cone | null; atmosphere_reached: AtmosphereReached | null; fullness: Fullness | null;
  cone_rules: number; to_celsius: number | null;
}

export interface FiringEventRow {
  id: string; firing_id: string; kind: EventKind; minutes: number; value: number | null; note: string;
  member_id: string; at: Date; ended_at: Date | null;
}

export interface FiringHelperRow {
  firing_id: string; member_id: string;
}

export interface FiringPieceRow {
  firing_id: string; piece_id: string; shelf: number; place: number; state: LoadState; at: Date;
  x_mm: number | null; y_mm: number | null; cookie: Flag;
}

export interface FormRow {
  id: string; name: string; form: Form; profile: string; height_mm: number; width_mm: number;
  clay_grams: number | null; sizes: string; bands: string; note: string; ended_at: Date | null;
  version: number;
}

export interface GlazeRow {
  id: string; name: string; kind: GlazeKind; colour: string; surface: Surface | null;
  movement: Movement | null; opaque: Flag | null; advice: string; caution: string; sort: number;
  ended_at: Date | null; version: number; round_id: string | null; decorative: Flag;
  in_use_id: string | null; usual_method: Method | null; usual_times: number | null; also: string;
}

export interface GlazeJudgementRow {
  glaze_id: string; criterion: JudgeCriterion; words: string; member_id: string; at: Date;
}

export interface GlazeVersionRow {
  id: string; glaze_id: string; number: number; recipe: string | null; note: string; created_at: Date;
  member_id: string | null;
}

export interface GlazingPatternRow {
  id: string; name: string; areas: string; coats: string; ended_at: Date | null; version: number;
}

export interface GroundRow {
  id: string; key_hash: string; body_id: string; slips: string; name: string;
}

export interface GroupMemberRow {
  group_id: string; member_id: string;
}

export interface HeadwordRow {
  id: string; key_hash: string; text: string; layers: string; depth: number; base_glaze_id: string | null;
  top_glaze_id: string | null;
}

export interface HintSeenRow {
  member_id: string; screen: string;
}

export interface InvitationRow {
  id: string; key_hash: string; role: 'technician' | 'teacher' | 'student' | 'visitor';
  group_id: string | null; maker_id: string | null; uses: number; most: number; until: Date;
  member_id: string; at: Date; ended_at: Date | null;
}

export interface JobRow {
  name: string; done: number; total: number; at: Date;
}

export interface KilnRow {
  id: string; name: string; heat: KilnHeat; litres: number; shelves: number; sort: number;
  controller: string; open_below: number; most_celsius: number; shelf_width_mm: number;
  shelf_depth_mm: number; round_shelves: Flag; version: number;
}

export interface KilnPartRow {
  id: string; kiln_id: string; part: KilnPart; changed_on: Date; note: string; member_id: string;
  ended_at: Date | null;
}

export interface LoadShelfRow {
  firing_id: string; shelf: number; post_mm: number | null; photo_hash: string | null;
}

export interface LogPointRow {
  source_id: string; sensor: number; seq: number; minutes: number; celsius: number | null;
  target: number | null; oxygen: number | null;
}

export interface LogSourceRow {
  id: string; firing_id: string; kind: 'controller' | 'file'; name: string; speed: number; live: Flag;
  error: string | null; heard_at: Date | null; member_id: string; at: Date;
}

export interface MaterialRow {
  id: string; name: string; analysis: string; loi: number; density: number | null; source: string;
  ended_at: Date | null; version: number;
}

export interface MaterialAliasRow {
  id: string; name: string; material: string;
}

export interface MemberRow {
  id: string; name: string; sign_in: string | null; password_hash: string | null; role: Role;
  created_at: Date; ended_at: Date | null; version: number; totp_secret: string | null; totp_at: Date | null;
  totp_step: number | null; units: string | null; pin_hash: string | null; pin_tries: number;
  hints_off: Flag;
}

export interface MemberGroupRow {
  id: string; name: string; teacher_id: string; at: Date; ended_at: Date | null; version: number;
  due_on: Date | null;
}

export interface NamedWallRow {
  id: string; name: string; search: string; member_id: string; at: Date; ended_at: Date | null;
  group_id: string | null;
}

export interface NumberBlockRow {
  id: string; device: string; first: number; last: number; member_id: string; at: Date; prefix: string;
}

export interface PasswordLinkRow {
  id: string; key_hash: string; for_id: string; until: Date; used_at: Date | null; member_id: string;
  at: Date;
}

export interface PhotoRow {
  id: string; piece_id: string; firing_id: string | null; hash: string; width: number; height: number;
  frame: string; member_id: string; at: Date; ended_at: Date | null; gains: string | null;
  strokes: string | null; view: View | null; stage: 'before' | 'after' | null; chosen_at: Date | null;
  labels: string | null; area: string | null; measured_by: number;
}

export interface PieceRow {
  id: string; label: string; number: number; form: Form; height_mm: number; width_mm: number;
  body_id: string; split: Flag; twin_key: string; member_id: string; made_at: Date; note: string;
  stage: PieceStage; fate: Fate | null; photo_id: string | null; version: number;
  round_cell_id: string | null; due_on: Date | null; model_id: string | null; texture: string;
  described: Flag; check_lengths: Flag; zone_rules: number; areas: string; form_id: string | null;
  profile: string | null; set_id: string | null; wanted: string; ware: string; is_liked: Flag;
  own_number: string; order_id: string | null; group_id: string | null;
}

export interface PieceOrderRow {
  id: string; name: string; wanted: string; count: number; due_on: Date | null; price: string; note: string;
  ended_at: Date | null; version: number;
}

export interface PieceSetRow {
  id: string; name: string;
}

export interface ProgrammeRow {
  id: string; name: string; segments: string; note: string; version: number; ended_at: Date | null;
}

export interface ReadingRow {
  id: string; zone_id: string; firing_id: string; piece_id: string; stage: ReadingStage;
  surface: Surface | null; movement: Movement | null; colour: string | null; note: string; member_id: string;
  at: Date; ended_at: Date | null; boil_test: 'passed' | 'failed' | null; follows: string | null;
  age_days: number | null; breaks: Flag | null;
}

export interface ReadingDefectRow {
  reading_id: string; defect: DefectId; place: Place; severity: Severity;
}

export interface RecoveryCodeRow {
  id: string; member_id: string; key_hash: string; used_at: Date | null;
}

export interface ReminderRow {
  id: string; about: ReminderAbout; about_id: string; words: string; member_id: string; at: Date;
  done_at: Date | null;
}

export interface RoundRow {
  id: string; number: number; name: string; kind: RoundKind; setup: string; shape: RoundShape;
  rows_count: number; columns_count: number; form: Form; height_mm: number; width_mm: number; twins: number;
  cone: Heat; atmosphere: Atmosphere; due_on: Date | null; member_id: string; created_at: Date;
  ended_at: Date | null; group_id: string | null; form_id: string | null; profile: string | null;
}

export interface RoundCellRow {
  id: string; round_id: string; label: string; row_at: number; column_at: number; words: string;
  parts: string; recipe: string | null; stack: string; body_id: string; block_at: number;
  texture: Texture | null; cone: Heat; atmosphere: Atmosphere;
}

export interface SeriesRow {
  prefix: string; next: number; goes_to: 'usual' | 'rounds' | 'chosen';
}

export interface SessionRow {
  id: string; member_id: string; agent: string; created_at: Date; seen_at: Date; ended_at: Date | null;
  device_id: string | null;
}

export interface SettingRow {
  name: string; value: string; version: number;
}

export interface ShareLinkRow {
  id: string; key_hash: string; name: string; search: string; recipes: Flag; names: Flag; member_id: string;
  at: Date; expires_at: Date; ended_at: Date | null;
}

export interface ShelfRepairRow {
  id: string; firing_id: string; shelf: number; what: ShelfFault; note: string; member_id: string; at: Date;
  done_at: Date | null;
}

export interface StudioDeviceRow {
  id: string; name: string; member_id: string; at: Date; ended_at: Date | null;
}

export interface TestRequestRow {
  id: string; member_id: string; base_glaze_id: string; top_glaze_id: string; note: string; at: Date;
  ended_at: Date | null; ground_id: string | null; cone: Heat | null; atmosphere: Atmosphere | null;
  base_times: number | null; top_times: number | null;
}

export interface WitnessConeRow {
  id: string; firing_id: string; shelf: number; cone: Cone; bend: number; member_id: string; at: Date;
  ended_at: Date | null;
}

export interface WriteDoneRow {
  id: string; at: Date;
}

export interface ZoneRow {
  id: string; piece_id: string; firing_id: string; entry_id: string | null; side: Side; from: number;
  to: number; versions: string; swatch_hash: string | null; colour: string | null; ended_at: Date | null;
  palette: string | null; filed_by: string; photo_id: string | null; area: string | null;
}

export interface ZoneCountRow {
  id: string; zone_id: string; photo_id: string; kind: 'pits' | 'cracks'; per_cm2: number; area_cm2: number;
  marks: string; member_id: string; at: Date; ended_at: Date | null;
}

declare module 'knex/types/tables' {
  interface Tables {
    again_outcome: TableType<AgainOutcomeRow>;
    batch: TableType<BatchRow>;
    batch_measure: TableType<BatchMeasureRow>;
    body: TableType<BodyRow>;
    case_try: TableType<CaseTryRow>;
    change: TableType<ChangeRow>;
    clinic_case: TableType<ClinicCaseRow>;
    coat: TableType<CoatRow>;
    correction: TableType<CorrectionRow>;
    entry: TableType<EntryRow>;
    expectation: TableType<ExpectationRow>;
    failed_lookup: TableType<FailedLookupRow>;
    fate: TableType<FateRow>;
    firing: TableType<FiringRow>;
    firing_event: TableType<FiringEventRow>;
    firing_helper: TableType<FiringHelperRow>;
    firing_piece: TableType<FiringPieceRow>;
    form: TableType<FormRow>;
    glaze: TableType<GlazeRow>;
    glaze_judgement: TableType<GlazeJudgementRow>;
    glaze_version: TableType<GlazeVersionRow>;
    glazing_pattern: TableType<GlazingPatternRow>;
    ground: TableType<GroundRow>;
    group_member: TableType<GroupMemberRow>;
    headword: TableType<HeadwordRow>;
    hint_seen: TableType<HintSeenRow>;
    invitation: TableType<InvitationRow>;
    job: TableType<JobRow>;
    kiln: TableType<KilnRow>;
    kiln_part: TableType<KilnPartRow>;
    load_shelf: TableType<LoadShelfRow>;
    log_point: TableType<LogPointRow>;
    log_source: TableType<LogSourceRow>;
    material: TableType<MaterialRow>;
    material_alias: TableType<MaterialAliasRow>;
    member: TableType<MemberRow>;
    member_group: TableType<MemberGroupRow>;
    named_wall: TableType<NamedWallRow>;
    number_block: TableType<NumberBlockRow>;
    password_link: TableType<PasswordLinkRow>;
    photo: TableType<PhotoRow>;
    piece: TableType<PieceRow>;
    piece_order: TableType<PieceOrderRow>;
    piece_set: TableType<PieceSetRow>;
    programme: TableType<ProgrammeRow>;
    reading: TableType<ReadingRow>;
    reading_defect: TableType<ReadingDefectRow>;
    recovery_code: TableType<RecoveryCodeRow>;
    reminder: TableType<ReminderRow>;
    round: TableType<RoundRow>;
    round_cell: TableType<RoundCellRow>;
    series: TableType<SeriesRow>;
    session: TableType<SessionRow>;
    setting: TableType<SettingRow>;
    share_link: TableType<ShareLinkRow>;
    shelf_repair: TableType<ShelfRepairRow>;
    studio_device: TableType<StudioDeviceRow>;
    test_request: TableType<TestRequestRow>;
    witness_cone: TableType<WitnessConeRow>;
    write_done: TableType<WriteDoneRow>;
    zone: TableType<ZoneRow>;
    zone_count: TableType<ZoneCountRow>;
  }
}

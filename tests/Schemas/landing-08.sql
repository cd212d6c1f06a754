SET statement_timeout = 0;
SET lock_timeout = 0;
SET idle_in_transaction_session_timeout = 0;
SET client_encoding = 'UTF8';
SET standard_conforming_strings = on;
SELECT pg_catalog.set_config('search_path', '', false);
SET check_function_bodies = false;
SET xmloption = content;
SET client_min_messages = warning;
SET row_security = off;
SET default_tablespace = '';
SET default_table_access_method = heap;
CREATE TABLE public.cache (
    key character varying(255) NOT NULL,
    value text NOT NULL,
    expiration integer NOT NULL
);
CREATE TABLE public.cache_locks (
    key character varying(255) NOT NULL,
    owner character varying(255) NOT NULL,
    expiration integer NOT NULL
);
CREATE TABLE public.diagnoses (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    fault character varying(60) NOT NULL,
    probability double precision NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    superseded_at timestamp(0) with time zone,
    superseded_by bigint,
    overturned_by character varying(60),
    CONSTRAINT diagnoses_probability CHECK (((probability >= (0)::double precision) AND (probability <= (1)::double precision)))
);
CREATE SEQUENCE public.diagnoses_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.diagnoses_id_seq OWNED BY public.diagnoses.id;
CREATE TABLE public.fault_counts (
    family character varying(40) NOT NULL,
    fault character varying(60) NOT NULL,
    jobs integer NOT NULL
);
CREATE TABLE public.fittings (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    "position" character varying(60) NOT NULL,
    part_id bigint,
    movement_id bigint,
    fitted_at timestamp(0) with time zone NOT NULL,
    fitted_hours numeric(10,1),
    removed_at timestamp(0) with time zone,
    removed_hours numeric(10,1)
);
CREATE SEQUENCE public.fittings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.fittings_id_seq OWNED BY public.fittings.id;
CREATE TABLE public.hidden_checks (
    job_id bigint NOT NULL,
    code character varying(60) NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE TABLE public.job_events (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    machine_id bigint NOT NULL,
    version integer NOT NULL,
    station character varying(12) NOT NULL,
    kind character varying(30) NOT NULL,
    text text NOT NULL,
    hours numeric(10,1),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.job_events_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.job_events_id_seq OWNED BY public.job_events.id;
CREATE TABLE public.job_findings (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    code character varying(60) NOT NULL,
    present boolean NOT NULL,
    source character varying(60) NOT NULL,
    value character varying(60),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    withdrawn_by bigint,
    withdrawn_at timestamp(0) with time zone
);
CREATE SEQUENCE public.job_findings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.job_findings_id_seq OWNED BY public.job_findings.id;
CREATE TABLE public.jobs (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    kind character varying(12) NOT NULL,
    station character varying(12) NOT NULL,
    station_since timestamp(0) with time zone NOT NULL,
    complaint text NOT NULL,
    screen_said text,
    came_along text,
    began character varying(20) NOT NULL,
    hours numeric(10,1),
    promised_for date,
    waits_for character varying(10),
    waits_note character varying(200),
    waits_until timestamp(0) with time zone,
    find_passed_because text,
    next_step character varying(200),
    next_minutes smallint,
    version integer DEFAULT 1 NOT NULL,
    opened_by bigint NOT NULL,
    opened_at timestamp(0) with time zone NOT NULL,
    finished_at timestamp(0) with time zone,
    CONSTRAINT jobs_kind CHECK (((kind)::text = ANY ((ARRAY['repair'::character varying, 'service'::character varying, 'upgrade'::character varying, 'inspection'::character varying, 'refurbish'::character varying])::text[]))),
    CONSTRAINT jobs_station CHECK (((station)::text = ANY ((ARRAY['intake'::character varying, 'safety'::character varying, 'diagnosis'::character varying, 'repair'::character varying, 'proof'::character varying, 'release'::character varying])::text[]))),
    CONSTRAINT jobs_waits CHECK (((waits_for)::text = ANY ((ARRAY['itself'::character varying, 'part'::character varying, 'person'::character varying, 'claim'::character varying])::text[])))
);
CREATE SEQUENCE public.jobs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.jobs_id_seq OWNED BY public.jobs.id;
CREATE TABLE public.machines (
    id bigint NOT NULL,
    tag character varying(12) NOT NULL,
    family character varying(40) NOT NULL,
    serial character varying(80),
    held_as character varying(10) NOT NULL,
    owner_id bigint,
    price_paid_minor bigint,
    hours numeric(10,1),
    place character varying(10) DEFAULT 'service'::character varying NOT NULL,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    CONSTRAINT machines_figures CHECK (((hours >= (0)::numeric) AND (price_paid_minor >= 0))),
    CONSTRAINT machines_held_as CHECK (((held_as)::text = ANY ((ARRAY['owner'::character varying, 'farm'::character varying, 'resale'::character varying])::text[]))),
    CONSTRAINT machines_owner CHECK ((((held_as)::text = 'owner'::text) = (owner_id IS NOT NULL))),
    CONSTRAINT machines_place CHECK (((place)::text = ANY ((ARRAY['bench'::character varying, 'service'::character varying, 'owner'::character varying, 'sale'::character varying, 'donor'::character varying, 'scrap'::character varying, 'unmended'::character varying])::text[])))
);
CREATE SEQUENCE public.machines_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.machines_id_seq OWNED BY public.machines.id;
CREATE TABLE public.mends (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    fault character varying(60),
    done text NOT NULL,
    touched jsonb NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.mends_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.mends_id_seq OWNED BY public.mends.id;
CREATE TABLE public.migrations (
    id integer NOT NULL,
    migration character varying(255) NOT NULL,
    batch integer NOT NULL
);
CREATE SEQUENCE public.migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.migrations_id_seq OWNED BY public.migrations.id;
CREATE TABLE public.movements (
    id bigint NOT NULL,
    part_id bigint NOT NULL,
    kind character varying(12) NOT NULL,
    quantity integer NOT NULL,
    value_minor bigint NOT NULL,
    job_id bigint,
    "position" character varying(60),
    undoes_id bigint,
    note character varying(200),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT movements_kind CHECK (((kind)::text = ANY ((ARRAY['received'::character varying, 'used'::character varying, 'returned'::character varying, 'counted'::character varying, 'scrapped'::character varying])::text[]))),
    CONSTRAINT movements_not_nothing CHECK ((quantity <> 0))
);
CREATE SEQUENCE public.movements_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.movements_id_seq OWNED BY public.movements.id;
CREATE TABLE public.once_keys (
    person_id bigint NOT NULL,
    key uuid NOT NULL,
    request character(40) NOT NULL,
    status smallint,
    body text,
    created_at timestamp(0) with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL
);
CREATE TABLE public.owners (
    id bigint NOT NULL,
    name character varying(160) NOT NULL,
    contact character varying(200),
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone
);
CREATE SEQUENCE public.owners_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.owners_id_seq OWNED BY public.owners.id;
CREATE TABLE public.parts (
    id bigint NOT NULL,
    number character varying(30) NOT NULL,
    name character varying(160) NOT NULL,
    class character varying(40) NOT NULL,
    bin character varying(12) NOT NULL,
    on_hand integer DEFAULT 0 NOT NULL,
    value_minor bigint DEFAULT '0'::bigint NOT NULL,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    CONSTRAINT parts_never_below_zero CHECK (((on_hand >= 0) AND (value_minor >= 0)))
);
CREATE SEQUENCE public.parts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.parts_id_seq OWNED BY public.parts.id;
CREATE TABLE public.people (
    id bigint NOT NULL,
    login character varying(60) NOT NULL,
    name character varying(120) NOT NULL,
    password character varying(255) NOT NULL,
    role character varying(20) NOT NULL,
    left_at timestamp(0) with time zone,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    CONSTRAINT people_role CHECK (((role)::text = ANY ((ARRAY['technician'::character varying, 'lead'::character varying, 'counter'::character varying, 'read-only'::character varying])::text[])))
);
CREATE SEQUENCE public.people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.people_id_seq OWNED BY public.people.id;
CREATE TABLE public.proof_results (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    proof character varying(60) NOT NULL,
    passed boolean NOT NULL,
    value double precision,
    unit character varying(20),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.proof_results_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.proof_results_id_seq OWNED BY public.proof_results.id;
CREATE TABLE public.queued_failures (
    id bigint NOT NULL,
    uuid character varying(255) NOT NULL,
    connection text NOT NULL,
    queue text NOT NULL,
    payload text NOT NULL,
    exception text NOT NULL,
    failed_at timestamp(0) without time zone DEFAULT CURRENT_TIMESTAMP NOT NULL
);
CREATE SEQUENCE public.queued_failures_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.queued_failures_id_seq OWNED BY public.queued_failures.id;
CREATE TABLE public.queued_jobs (
    id bigint NOT NULL,
    queue character varying(255) NOT NULL,
    payload text NOT NULL,
    attempts smallint NOT NULL,
    reserved_at integer,
    available_at integer NOT NULL,
    created_at integer NOT NULL
);
CREATE SEQUENCE public.queued_jobs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.queued_jobs_id_seq OWNED BY public.queued_jobs.id;
CREATE TABLE public.red_tags (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    job_id bigint NOT NULL,
    reason text NOT NULL,
    put_on_by bigint NOT NULL,
    put_on_at timestamp(0) with time zone NOT NULL,
    cause text,
    measurement text,
    off_asked_by bigint,
    off_asked_at timestamp(0) with time zone,
    countersigned_by bigint,
    off_at timestamp(0) with time zone,
    CONSTRAINT red_tags_two_people CHECK (((off_at IS NULL) OR ((cause IS NOT NULL) AND (measurement IS NOT NULL) AND (countersigned_by IS NOT NULL) AND (countersigned_by <> off_asked_by))))
);
CREATE SEQUENCE public.red_tags_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.red_tags_id_seq OWNED BY public.red_tags.id;
CREATE TABLE public.releases (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    destination character varying(10) NOT NULL,
    note text,
    danger text,
    price_minor bigint,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.releases_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.releases_id_seq OWNED BY public.releases.id;
CREATE TABLE public.safety_answers (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    question character varying(40) NOT NULL,
    yes boolean NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.safety_answers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.safety_answers_id_seq OWNED BY public.safety_answers.id;
CREATE TABLE public.sessions (
    id character varying(255) NOT NULL,
    user_id bigint,
    ip_address character varying(45),
    user_agent text,
    payload text NOT NULL,
    last_activity integer NOT NULL
);
CREATE TABLE public.settings (
    key character varying(60) NOT NULL,
    value jsonb NOT NULL
);
CREATE TABLE public.supervised_tests (
    id bigint NOT NULL,
    red_tag_id bigint NOT NULL,
    test text NOT NULL,
    beside_the_switch character varying(120) NOT NULL,
    signed_by bigint NOT NULL,
    signed_at timestamp(0) with time zone NOT NULL,
    result text,
    done_by bigint,
    done_at timestamp(0) with time zone
);
CREATE SEQUENCE public.supervised_tests_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.supervised_tests_id_seq OWNED BY public.supervised_tests.id;
CREATE TABLE public.tag_counters (
    letters character(2) NOT NULL,
    next integer DEFAULT 0 NOT NULL
);
CREATE TABLE public.work_spells (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    person_id bigint NOT NULL,
    station character varying(12) NOT NULL,
    began_at timestamp(0) with time zone NOT NULL,
    last_seen_at timestamp(0) with time zone NOT NULL,
    ended_at timestamp(0) with time zone
);
CREATE SEQUENCE public.work_spells_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.work_spells_id_seq OWNED BY public.work_spells.id;
ALTER TABLE ONLY public.diagnoses ALTER COLUMN id SET DEFAULT nextval('public.diagnoses_id_seq'::regclass);
ALTER TABLE ONLY public.fittings ALTER COLUMN id SET DEFAULT nextval('public.fittings_id_seq'::regclass);
ALTER TABLE ONLY public.job_events ALTER COLUMN id SET DEFAULT nextval('public.job_events_id_seq'::regclass);
ALTER TABLE ONLY public.job_findings ALTER COLUMN id SET DEFAULT nextval('public.job_findings_id_seq'::regclass);
ALTER TABLE ONLY public.jobs ALTER COLUMN id SET DEFAULT nextval('public.jobs_id_seq'::regclass);
ALTER TABLE ONLY public.machines ALTER COLUMN id SET DEFAULT nextval('public.machines_id_seq'::regclass);
ALTER TABLE ONLY public.mends ALTER COLUMN id SET DEFAULT nextval('public.mends_id_seq'::regclass);
ALTER TABLE ONLY public.migrations ALTER COLUMN id SET DEFAULT nextval('public.migrations_id_seq'::regclass);
ALTER TABLE ONLY public.movements ALTER COLUMN id SET DEFAULT nextval('public.movements_id_seq'::regclass);
ALTER TABLE ONLY public.owners ALTER COLUMN id SET DEFAULT nextval('public.owners_id_seq'::regclass);
ALTER TABLE ONLY public.parts ALTER COLUMN id SET DEFAULT nextval('public.parts_id_seq'::regclass);
ALTER TABLE ONLY public.people ALTER COLUMN id SET DEFAULT nextval('public.people_id_seq'::regclass);
ALTER TABLE ONLY public.proof_results ALTER COLUMN id SET DEFAULT nextval('public.proof_results_id_seq'::regclass);
ALTER TABLE ONLY public.queued_failures ALTER COLUMN id SET DEFAULT nextval('public.queued_failures_id_seq'::regclass);
ALTER TABLE ONLY public.queued_jobs ALTER COLUMN id SET DEFAULT nextval('public.queued_jobs_id_seq'::regclass);
ALTER TABLE ONLY public.red_tags ALTER COLUMN id SET DEFAULT nextval('public.red_tags_id_seq'::regclass);
ALTER TABLE ONLY public.releases ALTER COLUMN id SET DEFAULT nextval('public.releases_id_seq'::regclass);
ALTER TABLE ONLY public.safety_answers ALTER COLUMN id SET DEFAULT nextval('public.safety_answers_id_seq'::regclass);
ALTER TABLE ONLY public.supervised_tests ALTER COLUMN id SET DEFAULT nextval('public.supervised_tests_id_seq'::regclass);
ALTER TABLE ONLY public.work_spells ALTER COLUMN id SET DEFAULT nextval('public.work_spells_id_seq'::regclass);
INSERT INTO public.diagnoses VALUES (1, 1, 'tube-cooked', 0.9, 2, '2026-11-20 09:30:00+00', NULL, NULL, NULL);
INSERT INTO public.job_findings VALUES (1, 1, 'gear-clicks', true, 'told', NULL, 2, '2026-11-20 09:10:00+00', NULL, NULL);
INSERT INTO public.job_findings VALUES (2, 2, 'jams-when-warm', true, 'told', NULL, 2, '2026-11-21 09:10:00+00', NULL, NULL);
INSERT INTO public.jobs VALUES (1, 1, 'repair', 'repair', '2026-11-20 09:00:00+00', 'it clicks', NULL, NULL, 'crept-in', 1200.0, NULL, NULL, NULL, NULL, NULL, NULL, NULL, 1, 1, '2026-11-20 08:00:00+00', NULL);
INSERT INTO public.jobs VALUES (2, 2, 'repair', 'diagnosis', '2026-11-21 09:00:00+00', 'jams', NULL, NULL, 'suddenly', 300.0, NULL, NULL, NULL, NULL, NULL, NULL, NULL, 1, 1, '2026-11-21 08:00:00+00', NULL);
INSERT INTO public.machines VALUES (1, 'TR-222-R', 'tern-220', NULL, 'farm', NULL, NULL, NULL, 'service', NULL, NULL);
INSERT INTO public.machines VALUES (2, 'HR-223-K', 'heron-cx', NULL, 'farm', NULL, NULL, NULL, 'service', NULL, NULL);
INSERT INTO public.mends VALUES (1, 1, 'tube-cooked', 'New liner', '[]', 2, '2026-11-20 10:20:00+00');
INSERT INTO public.migrations VALUES (1, '2026_01_01_000001_framework', 1);
INSERT INTO public.migrations VALUES (2, '2026_01_01_000002_shop', 1);
INSERT INTO public.migrations VALUES (3, '2026_01_01_000003_machines', 1);
INSERT INTO public.migrations VALUES (4, '2026_01_01_000004_jobs', 1);
INSERT INTO public.migrations VALUES (5, '2026_01_01_000005_bench_work', 1);
INSERT INTO public.migrations VALUES (6, '2026_01_01_000006_stock', 1);
INSERT INTO public.movements VALUES (1, 1, 'received', 10, 1200, NULL, NULL, NULL, NULL, 1, '2026-11-01 09:00:00+00');
INSERT INTO public.movements VALUES (2, 2, 'received', 24, 4320, NULL, NULL, NULL, NULL, 1, '2026-11-01 09:01:00+00');
INSERT INTO public.movements VALUES (3, 1, 'used', -1, -120, 1, 'liner', NULL, NULL, 2, '2026-11-20 10:00:00+00');
INSERT INTO public.movements VALUES (4, 1, 'used', -2, -240, 1, NULL, NULL, NULL, 2, '2026-11-20 10:05:00+00');
INSERT INTO public.movements VALUES (5, 1, 'returned', 1, 120, 1, NULL, NULL, NULL, 2, '2026-11-20 10:09:00+00');
INSERT INTO public.parts VALUES (1, 'LIN-1', 'Liner 4/2 mm, 60 mm', 'liner', 'C4', 8, 960, NULL, NULL);
INSERT INTO public.parts VALUES (2, 'NOZZ-1', 'Nozzle 0.4 brass', 'nozzle', 'A1', 24, 4320, NULL, NULL);
INSERT INTO public.people VALUES (1, 'old', 'Old Hand', 'x', 'lead', NULL, NULL, NULL);
INSERT INTO public.people VALUES (2, 'bench', 'Bench Hand', 'x', 'technician', NULL, NULL, NULL);
SELECT pg_catalog.setval('public.diagnoses_id_seq', 1, true);
SELECT pg_catalog.setval('public.fittings_id_seq', 1, false);
SELECT pg_catalog.setval('public.job_events_id_seq', 1, false);
SELECT pg_catalog.setval('public.job_findings_id_seq', 2, true);
SELECT pg_catalog.setval('public.jobs_id_seq', 2, true);
SELECT pg_catalog.setval('public.machines_id_seq', 2, true);
SELECT pg_catalog.setval('public.mends_id_seq', 1, true);
SELECT pg_catalog.setval('public.migrations_id_seq', 6, true);
SELECT pg_catalog.setval('public.movements_id_seq', 5, true);
SELECT pg_catalog.setval('public.owners_id_seq', 1, false);
SELECT pg_catalog.setval('public.parts_id_seq', 2, true);
SELECT pg_catalog.setval('public.people_id_seq', 2, true);
SELECT pg_catalog.setval('public.proof_results_id_seq', 1, false);
SELECT pg_catalog.setval('public.queued_failures_id_seq', 1, false);
SELECT pg_catalog.setval('public.queued_jobs_id_seq', 1, false);
SELECT pg_catalog.setval('public.red_tags_id_seq', 1, false);
SELECT pg_catalog.setval('public.releases_id_seq', 1, false);
SELECT pg_catalog.setval('public.safety_answers_id_seq', 1, false);
SELECT pg_catalog.setval('public.supervised_tests_id_seq', 1, false);
SELECT pg_catalog.setval('public.work_spells_id_seq', 1, false);
ALTER TABLE ONLY public.cache_locks
    ADD CONSTRAINT cache_locks_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.cache
    ADD CONSTRAINT cache_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.fault_counts
    ADD CONSTRAINT fault_counts_pkey PRIMARY KEY (family, fault);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_movement_id_unique UNIQUE (movement_id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_pkey PRIMARY KEY (job_id, code);
ALTER TABLE ONLY public.job_events
    ADD CONSTRAINT job_events_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.job_findings
    ADD CONSTRAINT job_findings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_family_serial_unique UNIQUE (family, serial);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_tag_unique UNIQUE (tag);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.migrations
    ADD CONSTRAINT migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_undoes_id_unique UNIQUE (undoes_id);
ALTER TABLE ONLY public.once_keys
    ADD CONSTRAINT once_keys_pkey PRIMARY KEY (person_id, key);
ALTER TABLE ONLY public.owners
    ADD CONSTRAINT owners_name_unique UNIQUE (name);
ALTER TABLE ONLY public.owners
    ADD CONSTRAINT owners_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_number_unique UNIQUE (number);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_login_unique UNIQUE (login);
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.queued_failures
    ADD CONSTRAINT queued_failures_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.queued_failures
    ADD CONSTRAINT queued_failures_uuid_unique UNIQUE (uuid);
ALTER TABLE ONLY public.queued_jobs
    ADD CONSTRAINT queued_jobs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_job_id_unique UNIQUE (job_id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sessions
    ADD CONSTRAINT sessions_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.settings
    ADD CONSTRAINT settings_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_red_tag_id_unique UNIQUE (red_tag_id);
ALTER TABLE ONLY public.tag_counters
    ADD CONSTRAINT tag_counters_pkey PRIMARY KEY (letters);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_pkey PRIMARY KEY (id);
CREATE INDEX cache_expiration_index ON public.cache USING btree (expiration);
CREATE INDEX diagnoses_fault_index ON public.diagnoses USING btree (fault);
CREATE UNIQUE INDEX diagnoses_one ON public.diagnoses USING btree (job_id, fault) WHERE (superseded_at IS NULL);
CREATE INDEX fittings_machine_id_position_index ON public.fittings USING btree (machine_id, "position");
CREATE UNIQUE INDEX fittings_one ON public.fittings USING btree (machine_id, "position") WHERE (removed_at IS NULL);
CREATE INDEX job_events_job_id_version_index ON public.job_events USING btree (job_id, version);
CREATE INDEX job_events_machine_id_id_index ON public.job_events USING btree (machine_id, id);
CREATE UNIQUE INDEX job_findings_one ON public.job_findings USING btree (job_id, code) WHERE (withdrawn_at IS NULL);
CREATE INDEX jobs_machine_id_opened_at_index ON public.jobs USING btree (machine_id, opened_at);
CREATE UNIQUE INDEX jobs_one_open ON public.jobs USING btree (machine_id) WHERE (finished_at IS NULL);
CREATE INDEX jobs_open ON public.jobs USING btree (station) WHERE (finished_at IS NULL);
CREATE INDEX machines_family_index ON public.machines USING btree (family);
CREATE INDEX machines_place_index ON public.machines USING btree (place);
CREATE INDEX movements_job_id_index ON public.movements USING btree (job_id);
CREATE INDEX movements_part_id_id_index ON public.movements USING btree (part_id, id);
CREATE INDEX once_keys_created_at_index ON public.once_keys USING btree (created_at);
CREATE INDEX parts_bin_index ON public.parts USING btree (bin);
CREATE INDEX parts_class_index ON public.parts USING btree (class);
CREATE INDEX proof_results_job_id_id_index ON public.proof_results USING btree (job_id, id);
CREATE INDEX queued_jobs_queue_index ON public.queued_jobs USING btree (queue);
CREATE UNIQUE INDEX red_tags_one_on ON public.red_tags USING btree (machine_id) WHERE (off_at IS NULL);
CREATE INDEX safety_answers_job_id_question_index ON public.safety_answers USING btree (job_id, question);
CREATE INDEX sessions_last_activity_index ON public.sessions USING btree (last_activity);
CREATE INDEX sessions_user_id_index ON public.sessions USING btree (user_id);
CREATE INDEX work_spells_job_id_station_index ON public.work_spells USING btree (job_id, station);
CREATE UNIQUE INDEX work_spells_one_job ON public.work_spells USING btree (person_id) WHERE (ended_at IS NULL);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_superseded_by_foreign FOREIGN KEY (superseded_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_movement_id_foreign FOREIGN KEY (movement_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.job_events
    ADD CONSTRAINT job_events_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.job_events
    ADD CONSTRAINT job_events_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.job_events
    ADD CONSTRAINT job_events_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.job_findings
    ADD CONSTRAINT job_findings_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.job_findings
    ADD CONSTRAINT job_findings_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.job_findings
    ADD CONSTRAINT job_findings_withdrawn_by_foreign FOREIGN KEY (withdrawn_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_opened_by_foreign FOREIGN KEY (opened_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_owner_id_foreign FOREIGN KEY (owner_id) REFERENCES public.owners(id);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_undoes_id_foreign FOREIGN KEY (undoes_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.once_keys
    ADD CONSTRAINT once_keys_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_countersigned_by_foreign FOREIGN KEY (countersigned_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_off_asked_by_foreign FOREIGN KEY (off_asked_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_put_on_by_foreign FOREIGN KEY (put_on_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_done_by_foreign FOREIGN KEY (done_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_red_tag_id_foreign FOREIGN KEY (red_tag_id) REFERENCES public.red_tags(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_signed_by_foreign FOREIGN KEY (signed_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);

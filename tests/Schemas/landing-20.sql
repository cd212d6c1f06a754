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
COMMENT ON SCHEMA public IS '';
CREATE EXTENSION IF NOT EXISTS pg_trgm WITH SCHEMA public;
COMMENT ON EXTENSION pg_trgm IS 'text similarity measurement and index searching based on trigrams';
CREATE FUNCTION public.movement_days_follow() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
DECLARE summed bigint := (SELECT up_to FROM movement_sums FOR UPDATE);
BEGIN
    UPDATE movement_days d SET used = d.used - s.used, value_minor = d.value_minor - s.value
    FROM movement_days_of(NEW.id, 0, summed) s WHERE d.class = OLD.class AND d.day = s.day;
    INSERT INTO movement_days AS d (class, day, used, value_minor)
    SELECT NEW.class, s.day, s.used, s.value FROM movement_days_of(NEW.id, 0, summed) s
    ON CONFLICT (class, day) DO UPDATE SET used = d.used + excluded.used, value_minor = d.value_minor + excluded.value_minor;
    RETURN NEW;
END $$;
CREATE FUNCTION public.movement_days_of(part bigint, after bigint, up_to bigint) RETURNS TABLE(class character varying, day date, used integer, value bigint)
    LANGUAGE sql STABLE
    AS $$
    -- what is taken back was never used: it leaves the day on which it was taken
    SELECT p.class, (s.at AT TIME ZONE 'UTC')::date, sum(s.used)::int, sum(s.value)::bigint FROM (
        SELECT m.part_id, m.at, (m.kind = 'used')::int AS used, m.value_minor AS value
        FROM movements m WHERE m.id > after AND m.id <= up_to AND (part IS NULL OR m.part_id = part)
        UNION ALL
        SELECT w.part_id, w.at, -1, 0
        FROM movements m JOIN movements w ON w.id = m.undoes_id AND w.kind = 'used'
        WHERE m.id > after AND m.id <= up_to AND (part IS NULL OR m.part_id = part)
    ) s JOIN parts p ON p.id = s.part_id GROUP BY 1, 2
$$;
SET default_tablespace = '';
SET default_table_access_method = heap;
CREATE TABLE public.accessories (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    code character varying(40),
    name character varying(80) NOT NULL,
    came integer NOT NULL,
    went integer DEFAULT 0 NOT NULL,
    stays_because character varying(200),
    CONSTRAINT accessories_counts CHECK (((came >= 1) AND (came <= 99) AND ((went >= 0) AND (went <= came))))
);
CREATE SEQUENCE public.accessories_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.accessories_id_seq OWNED BY public.accessories.id;
CREATE TABLE public.backups (
    id bigint NOT NULL,
    kind character varying(12) NOT NULL,
    file character varying(200),
    bytes bigint,
    began_at timestamp(0) with time zone NOT NULL,
    proved_at timestamp(0) with time zone,
    problem text,
    CONSTRAINT backups_kind CHECK (((kind)::text = ANY (ARRAY[('nightly'::character varying)::text, ('update'::character varying)::text, ('restore'::character varying)::text, ('hand'::character varying)::text])))
);
CREATE SEQUENCE public.backups_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.backups_id_seq OWNED BY public.backups.id;
CREATE TABLE public.bad_batches (
    id bigint NOT NULL,
    movement_id bigint NOT NULL,
    because character varying(300) NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    lifted_at timestamp(0) with time zone,
    lifted_because character varying(300)
);
CREATE SEQUENCE public.bad_batches_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.bad_batches_id_seq OWNED BY public.bad_batches.id;
CREATE TABLE public.baselines (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    reading_id bigint,
    job_id bigint NOT NULL,
    instrument character varying(60) NOT NULL,
    "position" character varying(60),
    value double precision NOT NULL,
    unit character varying(20) NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    proof_run_id bigint
);
CREATE SEQUENCE public.baselines_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.baselines_id_seq OWNED BY public.baselines.id;
CREATE TABLE public.bills (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    number integer NOT NULL,
    lines json NOT NULL,
    minutes numeric(10,3) NOT NULL,
    hands_minor bigint NOT NULL,
    parts_minor bigint NOT NULL,
    freight_minor bigint NOT NULL,
    net_minor bigint NOT NULL,
    tax_pct numeric(5,2) NOT NULL,
    tax_minor bigint NOT NULL,
    gross_minor bigint NOT NULL,
    own_cost_minor bigint NOT NULL,
    free_because character varying(300),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT bills_add_up CHECK ((((net_minor + tax_minor) = gross_minor) AND (net_minor >= 0) AND (tax_minor >= 0) AND (own_cost_minor >= 0) AND ((free_because IS NULL) OR (gross_minor = 0))))
);
CREATE SEQUENCE public.bills_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.bills_id_seq OWNED BY public.bills.id;
CREATE TABLE public.bin_counts (
    id bigint NOT NULL,
    stocktake_id bigint NOT NULL,
    bin character varying(12) NOT NULL,
    opened_at timestamp(0) with time zone NOT NULL,
    person_id bigint NOT NULL,
    done_at timestamp(0) with time zone
);
CREATE SEQUENCE public.bin_counts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.bin_counts_id_seq OWNED BY public.bin_counts.id;
CREATE TABLE public.bin_stocks (
    part_id bigint NOT NULL,
    bin character varying(12) NOT NULL,
    on_hand integer NOT NULL,
    CONSTRAINT bin_stocks_never_below_zero CHECK ((on_hand >= 0))
);
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
CREATE TABLE public.campaigns (
    id bigint NOT NULL,
    fault character varying(60),
    look character varying(60),
    because text NOT NULL,
    job_id bigint,
    opened_by bigint NOT NULL,
    opened_at timestamp(0) with time zone NOT NULL,
    closed_by bigint,
    closed_at timestamp(0) with time zone,
    origin character varying(10) DEFAULT 'fault'::character varying NOT NULL,
    title character varying(120),
    look_for character varying(400),
    criteria json,
    assigned_to bigint,
    due_on date,
    dangerous boolean DEFAULT false NOT NULL,
    mend character varying(400),
    tagged_by bigint,
    tagged_at timestamp(0) with time zone,
    CONSTRAINT campaigns_from CHECK ((((origin)::text = ANY (ARRAY[('fault'::character varying)::text, ('batch'::character varying)::text, ('bulletin'::character varying)::text, ('thought'::character varying)::text])) AND ((fault IS NOT NULL) OR (title IS NOT NULL)) AND ((look IS NOT NULL) OR (look_for IS NOT NULL)) AND ((tagged_at IS NULL) = (tagged_by IS NULL))))
);
CREATE TABLE public.claim_words (
    id bigint NOT NULL,
    claim_id bigint NOT NULL,
    said_by character varying(4) NOT NULL,
    text text NOT NULL,
    said_on date NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT claim_words_are CHECK (((said_by)::text = ANY (ARRAY[('we'::character varying)::text, ('they'::character varying)::text])))
);
CREATE SEQUENCE public.claim_words_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.claim_words_id_seq OWNED BY public.claim_words.id;
CREATE TABLE public.claims (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    job_id bigint,
    against character varying(120) NOT NULL,
    against_is character varying(8) NOT NULL,
    claims character varying(8) NOT NULL,
    what character varying(300) NOT NULL,
    worth_minor bigint NOT NULL,
    effort_minor bigint DEFAULT '0'::bigint NOT NULL,
    deadline date,
    next_on date,
    video character varying(300),
    proof json NOT NULL,
    state character varying(8) DEFAULT 'open'::character varying NOT NULL,
    got_minor bigint,
    version integer DEFAULT 1 NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    closed_at timestamp(0) with time zone,
    CONSTRAINT claims_are CHECK ((((against_is)::text = ANY (ARRAY[('seller'::character varying)::text, ('maker'::character varying)::text, ('supplier'::character varying)::text])) AND ((claims)::text = ANY (ARRAY[('machine'::character varying)::text, ('part'::character varying)::text, ('money'::character varying)::text])) AND ((state)::text = ANY (ARRAY[('open'::character varying)::text, ('won'::character varying)::text, ('partly'::character varying)::text, ('lost'::character varying)::text, ('dropped'::character varying)::text])) AND (((state)::text = 'open'::text) = (closed_at IS NULL)) AND (worth_minor >= 0) AND ((got_minor IS NULL) OR (got_minor >= 0))))
);
CREATE SEQUENCE public.claims_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.claims_id_seq OWNED BY public.claims.id;
CREATE TABLE public.class_risks (
    family character varying(60) NOT NULL,
    part_class character varying(60) NOT NULL,
    in_use integer NOT NULL,
    expected_1 double precision NOT NULL,
    variance_1 double precision NOT NULL,
    expected_2 double precision NOT NULL,
    variance_2 double precision NOT NULL,
    expected_4 double precision NOT NULL,
    variance_4 double precision NOT NULL,
    expected_8 double precision NOT NULL,
    variance_8 double precision NOT NULL
);
CREATE TABLE public.counters (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    hours numeric(10,1) NOT NULL,
    began_anew boolean DEFAULT false NOT NULL,
    source character varying(12) NOT NULL,
    person_id bigint,
    withdrawn_at timestamp(0) with time zone,
    withdrawn_by bigint,
    CONSTRAINT counters_figures CHECK (((hours >= (0)::numeric) AND ((source)::text = ANY (ARRAY[('booking'::character varying)::text, ('typed'::character varying)::text, ('table'::character varying)::text, ('printer'::character varying)::text]))))
);
CREATE SEQUENCE public.counters_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.counters_id_seq OWNED BY public.counters.id;
CREATE TABLE public.days_off (
    id bigint NOT NULL,
    person_id bigint,
    first date NOT NULL,
    last date NOT NULL,
    from_minute smallint,
    to_minute smallint,
    why character varying(120) NOT NULL,
    CONSTRAINT days_off_in_order CHECK (((first <= last) AND ((from_minute IS NULL) = (to_minute IS NULL)) AND ((from_minute IS NULL) OR ((from_minute >= 0) AND (from_minute < to_minute) AND (to_minute <= 1440)))))
);
CREATE SEQUENCE public.days_off_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.days_off_id_seq OWNED BY public.days_off.id;
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
    comeback_of bigint,
    CONSTRAINT diagnoses_probability CHECK (((probability >= (0)::double precision) AND (probability <= (1)::double precision)))
);
CREATE SEQUENCE public.diagnoses_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.diagnoses_id_seq OWNED BY public.diagnoses.id;
CREATE TABLE public.differences_explained (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    because text NOT NULL,
    differences json NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.differences_explained_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.differences_explained_id_seq OWNED BY public.differences_explained.id;
CREATE TABLE public.estimate_answers (
    id bigint NOT NULL,
    estimate_id bigint NOT NULL,
    answer character varying(12) NOT NULL,
    up_to_minor bigint,
    said_by character varying(120) NOT NULL,
    way character varying(8) NOT NULL,
    late boolean NOT NULL,
    person_id bigint,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT estimate_answers_are CHECK (((((answer)::text = 'do-not-mend'::text) AND (up_to_minor IS NULL)) OR (((answer)::text = ANY (ARRAY[('go-ahead'::character varying)::text, ('ask-above'::character varying)::text])) AND (up_to_minor >= 0))))
);
CREATE SEQUENCE public.estimate_answers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.estimate_answers_id_seq OWNED BY public.estimate_answers.id;
CREATE TABLE public.estimates (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    number smallint NOT NULL,
    expected_minor bigint NOT NULL,
    ceiling_minor bigint NOT NULL,
    frozen json NOT NULL,
    way character varying(8) NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    superseded_at timestamp(0) with time zone,
    CONSTRAINT estimates_way CHECK (((way)::text = ANY (ARRAY[('phone'::character varying)::text, ('letter'::character varying)::text, ('email'::character varying)::text, ('page'::character varying)::text, ('counter'::character varying)::text])))
);
CREATE SEQUENCE public.estimates_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.estimates_id_seq OWNED BY public.estimates.id;
CREATE TABLE public.families (
    code character varying(40) NOT NULL,
    yaml text NOT NULL,
    picture character varying(200),
    person_id bigint,
    created_at timestamp(6) with time zone,
    updated_at timestamp(6) with time zone
);
CREATE TABLE public.fault_counts (
    family character varying(40) NOT NULL,
    fault character varying(60) NOT NULL,
    jobs integer NOT NULL,
    came_back integer DEFAULT 0 NOT NULL
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
    removed_hours numeric(10,1),
    job_id bigint,
    reason character varying(200),
    upgrade boolean DEFAULT false NOT NULL,
    person_id bigint,
    became character varying(10),
    grade character varying(10),
    removed_by bigint,
    replaces_id bigint,
    ended_by bigint,
    ended_as character varying(10),
    removed_job_id bigint,
    had_hours numeric(10,1) DEFAULT '0'::numeric,
    CONSTRAINT fittings_became CHECK ((((became)::text = ANY (ARRAY[('scrap'::character varying)::text, ('spare'::character varying)::text, ('seller'::character varying)::text, ('lost'::character varying)::text])) AND (((became)::text <> 'spare'::text) OR ((grade)::text = ANY (ARRAY[('tested'::character varying)::text, ('untested'::character varying)::text]))))),
    CONSTRAINT fittings_life CHECK ((((ended_as)::text = ANY (ARRAY[('failed'::character varying)::text, ('worked'::character varying)::text])) AND (had_hours >= (0)::numeric)))
);
CREATE SEQUENCE public.fittings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.fittings_id_seq OWNED BY public.fittings.id;
CREATE TABLE public.guide_runs (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    guide character varying(60) NOT NULL,
    school character varying(80),
    person_id bigint NOT NULL,
    began_at timestamp(0) with time zone NOT NULL,
    ended_at timestamp(0) with time zone,
    minutes double precision,
    given_up boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.guide_runs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.guide_runs_id_seq OWNED BY public.guide_runs.id;
CREATE TABLE public.guide_steps_done (
    guide_run_id bigint NOT NULL,
    step smallint NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE TABLE public.hidden_checks (
    job_id bigint NOT NULL,
    code character varying(60) NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE TABLE public.hours (
    id bigint NOT NULL,
    person_id bigint,
    weekday smallint NOT NULL,
    opens smallint NOT NULL,
    closes smallint NOT NULL,
    CONSTRAINT hours_of_a_day CHECK (((weekday >= 1) AND (weekday <= 7) AND (opens >= 0) AND (closes <= 1440) AND (opens < closes)))
);
CREATE SEQUENCE public.hours_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.hours_id_seq OWNED BY public.hours.id;
CREATE TABLE public.job_events (
    id bigint NOT NULL,
    job_id bigint,
    machine_id bigint NOT NULL,
    version integer NOT NULL,
    station character varying(12),
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
CREATE TABLE public.job_waits (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    cause character varying(12) NOT NULL,
    began_at timestamp(0) with time zone NOT NULL,
    ended_at timestamp(0) with time zone
);
CREATE SEQUENCE public.job_waits_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.job_waits_id_seq OWNED BY public.job_waits.id;
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
    warranty_choice character varying(10),
    service_items json,
    spool_id bigint,
    hours_about boolean DEFAULT false NOT NULL,
    waits_since timestamp(0) with time zone,
    asked boolean DEFAULT false NOT NULL,
    waits_hot boolean,
    CONSTRAINT jobs_kind CHECK (((kind)::text = ANY (ARRAY[('repair'::character varying)::text, ('service'::character varying)::text, ('upgrade'::character varying)::text, ('inspection'::character varying)::text, ('refurbish'::character varying)::text]))),
    CONSTRAINT jobs_station CHECK (((station)::text = ANY (ARRAY[('intake'::character varying)::text, ('safety'::character varying)::text, ('diagnosis'::character varying)::text, ('repair'::character varying)::text, ('proof'::character varying)::text, ('release'::character varying)::text]))),
    CONSTRAINT jobs_waits CHECK (((waits_for)::text = ANY (ARRAY[('itself'::character varying)::text, ('part'::character varying)::text, ('person'::character varying)::text, ('claim'::character varying)::text, ('owner'::character varying)::text]))),
    CONSTRAINT jobs_warranty_choice CHECK (((warranty_choice)::text = ANY (ARRAY[('claim'::character varying)::text, ('mend'::character varying)::text])))
);
CREATE SEQUENCE public.jobs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.jobs_id_seq OWNED BY public.jobs.id;
CREATE TABLE public.life_fits (
    id bigint NOT NULL,
    part_class character varying(60) NOT NULL,
    part_id bigint,
    family character varying(60),
    circumstance character varying(60),
    shape double precision NOT NULL,
    scale_h double precision NOT NULL,
    mean_h double precision NOT NULL,
    low_h double precision NOT NULL,
    high_h double precision,
    method character varying(10) NOT NULL,
    failures integer NOT NULL,
    running integer NOT NULL,
    trade_h double precision,
    leans_on_all boolean NOT NULL,
    apart double precision DEFAULT '0'::double precision NOT NULL,
    believed_from date,
    because text NOT NULL,
    not_counted json NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.life_fits_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.life_fits_id_seq OWNED BY public.life_fits.id;
CREATE SEQUENCE public.look_lists_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.look_lists_id_seq OWNED BY public.campaigns.id;
CREATE TABLE public.looks_owed (
    id bigint NOT NULL,
    campaign_id bigint NOT NULL,
    machine_id bigint NOT NULL,
    affected boolean,
    note character varying(200),
    job_id bigint,
    looked_by bigint,
    looked_at timestamp(0) with time zone,
    risk double precision,
    harm double precision DEFAULT '1'::double precision NOT NULL,
    mended_by bigint,
    mended_at timestamp(0) with time zone,
    letter_at timestamp(0) with time zone,
    CONSTRAINT looks_owed_mended CHECK ((((mended_at IS NULL) = (mended_by IS NULL)) AND ((mended_at IS NULL) OR affected))),
    CONSTRAINT looks_owed_whole CHECK ((((affected IS NULL) = (looked_at IS NULL)) AND ((affected IS NULL) = (looked_by IS NULL))))
);
CREATE SEQUENCE public.looks_owed_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.looks_owed_id_seq OWNED BY public.looks_owed.id;
CREATE TABLE public.machine_risks (
    machine_id bigint NOT NULL,
    hours double precision,
    per_week double precision,
    service character varying(60),
    service_days integer,
    service_share double precision DEFAULT '0'::double precision NOT NULL,
    risk_1 double precision DEFAULT '0'::double precision NOT NULL,
    saves_1 double precision DEFAULT '0'::double precision NOT NULL,
    worst_1 character varying(60),
    worst_risk_1 double precision DEFAULT '0'::double precision NOT NULL,
    risk_2 double precision DEFAULT '0'::double precision NOT NULL,
    saves_2 double precision DEFAULT '0'::double precision NOT NULL,
    worst_2 character varying(60),
    worst_risk_2 double precision DEFAULT '0'::double precision NOT NULL,
    risk_4 double precision DEFAULT '0'::double precision NOT NULL,
    saves_4 double precision DEFAULT '0'::double precision NOT NULL,
    worst_4 character varying(60),
    worst_risk_4 double precision DEFAULT '0'::double precision NOT NULL,
    risk_8 double precision DEFAULT '0'::double precision NOT NULL,
    saves_8 double precision DEFAULT '0'::double precision NOT NULL,
    worst_8 character varying(60),
    worst_risk_8 double precision DEFAULT '0'::double precision NOT NULL,
    stale boolean DEFAULT false NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
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
    warranty_until date,
    warranty_by character varying(10),
    warranty_note character varying(200),
    printer_host character varying(120),
    printer_port integer,
    page_key character varying(20) NOT NULL,
    place_since timestamp(0) with time zone,
    notes text,
    prints_abrasive boolean DEFAULT false NOT NULL,
    prints_hot boolean DEFAULT false NOT NULL,
    asked_at timestamp(0) with time zone,
    counter_wonder character varying(300),
    CONSTRAINT machines_figures CHECK (((hours >= (0)::numeric) AND (price_paid_minor >= 0))),
    CONSTRAINT machines_held_as CHECK (((held_as)::text = ANY (ARRAY[('owner'::character varying)::text, ('farm'::character varying)::text, ('resale'::character varying)::text]))),
    CONSTRAINT machines_owner CHECK ((((held_as)::text = 'owner'::text) = (owner_id IS NOT NULL))),
    CONSTRAINT machines_place CHECK (((place)::text = ANY (ARRAY[('bench'::character varying)::text, ('service'::character varying)::text, ('owner'::character varying)::text, ('sale'::character varying)::text, ('donor'::character varying)::text, ('scrap'::character varying)::text, ('unmended'::character varying)::text]))),
    CONSTRAINT machines_printer CHECK ((((printer_host IS NULL) = (printer_port IS NULL)) AND ((printer_port >= 1) AND (printer_port <= 65535)))),
    CONSTRAINT machines_warranty CHECK ((((warranty_until IS NULL) = (warranty_by IS NULL)) AND ((warranty_by)::text = ANY (ARRAY[('maker'::character varying)::text, ('seller'::character varying)::text]))))
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
    at timestamp(0) with time zone NOT NULL,
    way character varying(80)
);
CREATE SEQUENCE public.mends_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.mends_id_seq OWNED BY public.mends.id;
CREATE TABLE public.messages (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    kind character varying(10) NOT NULL,
    way character varying(8) NOT NULL,
    text text NOT NULL,
    person_id bigint,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT messages_are CHECK ((((kind)::text = ANY (ARRAY[('told'::character varying)::text, ('answered'::character varying)::text, ('estimate'::character varying)::text, ('ready'::character varying)::text, ('reminder'::character varying)::text])) AND ((way)::text = ANY (ARRAY[('phone'::character varying)::text, ('letter'::character varying)::text, ('email'::character varying)::text, ('page'::character varying)::text, ('counter'::character varying)::text]))))
);
CREATE SEQUENCE public.messages_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.messages_id_seq OWNED BY public.messages.id;
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
CREATE TABLE public.movement_days (
    class character varying(40) NOT NULL,
    day date NOT NULL,
    used integer DEFAULT 0 NOT NULL,
    value_minor bigint DEFAULT '0'::bigint NOT NULL
);
CREATE TABLE public.movement_sums (
    one boolean DEFAULT true NOT NULL,
    up_to bigint NOT NULL,
    CONSTRAINT movement_sums_one CHECK (one)
);
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
    order_line_id bigint,
    bin character varying(12) DEFAULT ''::character varying NOT NULL,
    batch character varying(40),
    machine_id bigint,
    hours numeric(10,1),
    stocktake_id bigint,
    CONSTRAINT movements_kind CHECK (((kind)::text = ANY (ARRAY[('received'::character varying)::text, ('used'::character varying)::text, ('returned'::character varying)::text, ('counted'::character varying)::text, ('scrapped'::character varying)::text, ('salvaged'::character varying)::text, ('made'::character varying)::text, ('moved'::character varying)::text]))),
    CONSTRAINT movements_not_nothing CHECK ((quantity <> 0))
);
CREATE SEQUENCE public.movements_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.movements_id_seq OWNED BY public.movements.id;
CREATE TABLE public.offer_stages (
    id bigint NOT NULL,
    offer_id bigint NOT NULL,
    place smallint NOT NULL,
    name character varying(120) NOT NULL,
    cost_minor bigint NOT NULL,
    passes double precision NOT NULL,
    fallback_minor bigint NOT NULL,
    "end" character varying(40) NOT NULL,
    outcome character varying(8),
    real_minor bigint,
    person_id bigint,
    done_at timestamp(0) with time zone,
    CONSTRAINT offer_stages_are CHECK (((passes >= (0)::double precision) AND (passes <= (1)::double precision) AND (cost_minor >= 0) AND (fallback_minor >= 0) AND ((outcome IS NULL) OR ((outcome)::text = ANY (ARRAY[('passed'::character varying)::text, ('failed'::character varying)::text, ('stopped'::character varying)::text])))))
);
CREATE SEQUENCE public.offer_stages_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.offer_stages_id_seq OWNED BY public.offer_stages.id;
CREATE TABLE public.offers (
    id bigint NOT NULL,
    family character varying(40) NOT NULL,
    seller character varying(120) NOT NULL,
    says text NOT NULL,
    findings json NOT NULL,
    missing character varying(300),
    asked_minor bigint,
    freight_minor bigint DEFAULT '0'::bigint NOT NULL,
    missing_minor bigint DEFAULT '0'::bigint NOT NULL,
    selling_minor bigint DEFAULT '0'::bigint NOT NULL,
    sells_minor bigint NOT NULL,
    single_minor bigint,
    parts_minor bigint NOT NULL,
    margin_minor bigint NOT NULL,
    state character varying(8) DEFAULT 'open'::character varying NOT NULL,
    bought_minor bigint,
    most_minor bigint,
    let_go_because character varying(300),
    machine_id bigint,
    version integer DEFAULT 1 NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    decided_at timestamp(0) with time zone,
    CONSTRAINT offers_are CHECK ((((state)::text = ANY (ARRAY[('open'::character varying)::text, ('bought'::character varying)::text, ('let-go'::character varying)::text])) AND (((state)::text = 'bought'::text) = (machine_id IS NOT NULL)) AND (((state)::text = 'bought'::text) = (bought_minor IS NOT NULL))))
);
CREATE SEQUENCE public.offers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.offers_id_seq OWNED BY public.offers.id;
CREATE TABLE public.once_keys (
    person_id bigint NOT NULL,
    key uuid NOT NULL,
    request character(40) NOT NULL,
    status smallint,
    body text,
    created_at timestamp(0) with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL
);
CREATE TABLE public.order_lines (
    id bigint NOT NULL,
    order_id bigint NOT NULL,
    part_id bigint NOT NULL,
    packs integer NOT NULL,
    pack integer NOT NULL,
    pack_cost_minor bigint NOT NULL,
    received integer DEFAULT 0 NOT NULL,
    CONSTRAINT order_lines_figures CHECK (((packs >= 1) AND (pack >= 1) AND (received >= 0)))
);
CREATE SEQUENCE public.order_lines_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.order_lines_id_seq OWNED BY public.order_lines.id;
CREATE TABLE public.orders (
    id bigint NOT NULL,
    supplier_id bigint NOT NULL,
    note character varying(500),
    freight_minor bigint NOT NULL,
    expected_at timestamp(0) with time zone NOT NULL,
    person_id bigint NOT NULL,
    sent_at timestamp(0) with time zone NOT NULL,
    closed_at timestamp(0) with time zone,
    closed_because character varying(300)
);
CREATE SEQUENCE public.orders_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.orders_id_seq OWNED BY public.orders.id;
CREATE TABLE public.owners (
    id bigint NOT NULL,
    name character varying(160) NOT NULL,
    contact character varying(200),
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    company boolean DEFAULT false NOT NULL,
    address character varying(300),
    notes text,
    merged_into bigint,
    erased_at timestamp(0) with time zone
);
CREATE SEQUENCE public.owners_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.owners_id_seq OWNED BY public.owners.id;
CREATE TABLE public.paper_marks (
    id bigint NOT NULL,
    paper_id bigint NOT NULL,
    page smallint DEFAULT '1'::smallint NOT NULL,
    x double precision,
    y double precision,
    kind character varying(10) NOT NULL,
    code character varying(60) NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT paper_marks_where CHECK ((((kind)::text = ANY (ARRAY[('position'::character varying)::text, ('socket'::character varying)::text])) AND (page >= 1) AND ((x IS NULL) OR ((x >= (0)::double precision) AND (x <= (1)::double precision) AND ((y >= (0)::double precision) AND (y <= (1)::double precision))))))
);
CREATE SEQUENCE public.paper_marks_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.paper_marks_id_seq OWNED BY public.paper_marks.id;
CREATE TABLE public.papers (
    id bigint NOT NULL,
    family character varying(40) NOT NULL,
    title character varying(160) NOT NULL,
    path character varying(120) NOT NULL,
    mime character varying(30) NOT NULL,
    bytes integer NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    withdrawn_at timestamp(0) with time zone
);
CREATE SEQUENCE public.papers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.papers_id_seq OWNED BY public.papers.id;
CREATE TABLE public.part_counts (
    id bigint NOT NULL,
    bin_count_id bigint NOT NULL,
    part_id bigint NOT NULL,
    counted integer NOT NULL,
    expected integer NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT part_counts_never_below_zero CHECK ((counted >= 0))
);
CREATE SEQUENCE public.part_counts_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.part_counts_id_seq OWNED BY public.part_counts.id;
CREATE TABLE public.part_substitutes (
    part_id bigint NOT NULL,
    substitute_id bigint NOT NULL,
    note character varying(200),
    CONSTRAINT part_substitutes_other CHECK ((part_id <> substitute_id))
);
CREATE TABLE public.part_uses (
    family character varying(40) NOT NULL,
    class character varying(40) NOT NULL,
    part_id bigint NOT NULL,
    times integer NOT NULL
);
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
    words character varying(300) DEFAULT ''::character varying NOT NULL,
    notes character varying(2000),
    fits jsonb DEFAULT '{}'::jsonb NOT NULL,
    shelf_life_weeks integer,
    photo character varying(120),
    used_of_id bigint,
    grade character varying(10) DEFAULT 'new'::character varying NOT NULL,
    successor_id bigint,
    counts_with_id bigint,
    search text DEFAULT ''::text NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    CONSTRAINT parts_grade CHECK ((((grade)::text = ANY (ARRAY[('new'::character varying)::text, ('tested'::character varying)::text, ('untested'::character varying)::text])) AND (((grade)::text = 'new'::text) = (used_of_id IS NULL)))),
    CONSTRAINT parts_life CHECK (((shelf_life_weeks >= 1) AND (shelf_life_weeks <= 1040))),
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
    code character varying(255),
    code_until timestamp(0) with time zone,
    mains_until date,
    mains_by character varying(120),
    pin character varying(255),
    sees_money boolean DEFAULT false NOT NULL,
    calendar_secret character(64),
    CONSTRAINT people_mains CHECK (((mains_until IS NULL) = (mains_by IS NULL))),
    CONSTRAINT people_role CHECK (((role)::text = ANY (ARRAY[('technician'::character varying)::text, ('lead'::character varying)::text, ('counter'::character varying)::text, ('read-only'::character varying)::text])))
);
CREATE SEQUENCE public.people_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.people_id_seq OWNED BY public.people.id;
CREATE TABLE public.personal_access_tokens (
    id bigint NOT NULL,
    tokenable_type character varying(255) NOT NULL,
    tokenable_id bigint NOT NULL,
    name text NOT NULL,
    token character varying(64) NOT NULL,
    abilities text,
    last_used_at timestamp(0) with time zone,
    expires_at timestamp(0) with time zone NOT NULL,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone
);
CREATE SEQUENCE public.personal_access_tokens_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.personal_access_tokens_id_seq OWNED BY public.personal_access_tokens.id;
CREATE TABLE public.photographs (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    path character varying(120) NOT NULL,
    width integer NOT NULL,
    height integer NOT NULL,
    bytes integer NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.photographs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.photographs_id_seq OWNED BY public.photographs.id;
CREATE TABLE public.pickups (
    job_id bigint NOT NULL,
    ready_on date NOT NULL,
    free_days integer NOT NULL,
    per_day_minor bigint NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE TABLE public.pieces (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    name character varying(160) NOT NULL,
    "position" character varying(60),
    worth_minor bigint NOT NULL,
    cost_minor bigint NOT NULL,
    sold_minor bigint,
    movement_id bigint,
    gone_at timestamp(0) with time zone
);
CREATE SEQUENCE public.pieces_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.pieces_id_seq OWNED BY public.pieces.id;
CREATE TABLE public.plan_moves (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    step character varying(200) NOT NULL,
    person_id bigint,
    not_before timestamp(0) with time zone,
    moved_by bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.plan_moves_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.plan_moves_id_seq OWNED BY public.plan_moves.id;
CREATE TABLE public.plan_news (
    id bigint NOT NULL,
    because character varying(200) NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.plan_news_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.plan_news_id_seq OWNED BY public.plan_news.id;
CREATE TABLE public.planned_changes (
    job_id bigint NOT NULL,
    "position" character varying(60) NOT NULL,
    part_class character varying(60) NOT NULL,
    guide character varying(60)
);
CREATE TABLE public.plans (
    id bigint NOT NULL,
    made_at timestamp(0) with time zone NOT NULL,
    took_ms integer NOT NULL,
    because character varying(500) NOT NULL,
    changes jsonb NOT NULL,
    versions jsonb NOT NULL,
    body jsonb NOT NULL,
    looked jsonb NOT NULL
);
CREATE SEQUENCE public.plans_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.plans_id_seq OWNED BY public.plans.id;
CREATE TABLE public.position_risks (
    machine_id bigint NOT NULL,
    "position" character varying(60) NOT NULL,
    part_class character varying(60) NOT NULL,
    part_id bigint,
    judged_by character varying(200) NOT NULL,
    failures integer NOT NULL,
    shape double precision NOT NULL,
    scale_h double precision NOT NULL,
    age_h double precision,
    not_counted character varying(20),
    change_at_h double precision,
    planned_minor double precision NOT NULL,
    failure_minor double precision NOT NULL,
    risk_1 double precision DEFAULT '0'::double precision NOT NULL,
    saves_1 double precision DEFAULT '0'::double precision NOT NULL,
    risk_2 double precision DEFAULT '0'::double precision NOT NULL,
    saves_2 double precision DEFAULT '0'::double precision NOT NULL,
    risk_4 double precision DEFAULT '0'::double precision NOT NULL,
    saves_4 double precision DEFAULT '0'::double precision NOT NULL,
    risk_8 double precision DEFAULT '0'::double precision NOT NULL,
    saves_8 double precision DEFAULT '0'::double precision NOT NULL
);
CREATE TABLE public.promises (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    kind character varying(20) NOT NULL,
    promised_for date,
    half date NOT NULL,
    eighty date NOT NULL,
    ninety date NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.promises_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.promises_id_seq OWNED BY public.promises.id;
CREATE TABLE public.proof_results (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    proof character varying(60) NOT NULL,
    passed boolean NOT NULL,
    value double precision,
    unit character varying(20),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    waived_because text,
    note text,
    log text,
    photograph_id bigint
);
CREATE SEQUENCE public.proof_results_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.proof_results_id_seq OWNED BY public.proof_results.id;
CREATE TABLE public.proof_runs (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    machine_id bigint NOT NULL,
    stages json NOT NULL,
    state character varying(12) NOT NULL,
    stage character varying(20),
    question text,
    choices json,
    results json NOT NULL,
    said text,
    stop_asked boolean DEFAULT false NOT NULL,
    person_id bigint NOT NULL,
    began_at timestamp(0) with time zone NOT NULL,
    stage_since timestamp(0) with time zone,
    ended_at timestamp(0) with time zone,
    seen_at timestamp(0) with time zone,
    address character varying(160),
    heat character varying(12) DEFAULT 'cold'::character varying NOT NULL,
    hotend_c numeric(6,1),
    bed_c numeric(6,1),
    measured_at timestamp(0) with time zone,
    unplugged_by bigint,
    CONSTRAINT proof_runs_heat CHECK (((heat)::text = ANY (ARRAY[('cold'::character varying)::text, ('hot'::character varying)::text, ('unconfirmed'::character varying)::text, ('off'::character varying)::text]))),
    CONSTRAINT proof_runs_state CHECK (((state)::text = ANY (ARRAY[('waiting'::character varying)::text, ('running'::character varying)::text, ('asking'::character varying)::text, ('passed'::character varying)::text, ('failed'::character varying)::text, ('stopped'::character varying)::text, ('lost'::character varying)::text])))
);
CREATE SEQUENCE public.proof_runs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.proof_runs_id_seq OWNED BY public.proof_runs.id;
CREATE TABLE public.proof_samples (
    proof_run_id bigint NOT NULL,
    minute integer NOT NULL,
    samples bytea NOT NULL
);
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
CREATE TABLE public.rack_places (
    machine_id bigint NOT NULL,
    rack_id bigint NOT NULL,
    shelf smallint NOT NULL,
    place smallint NOT NULL,
    CONSTRAINT rack_places_at CHECK (((shelf >= 1) AND (place >= 1)))
);
CREATE TABLE public.racks (
    id bigint NOT NULL,
    name character varying(60) NOT NULL,
    shelves smallint NOT NULL,
    places smallint NOT NULL,
    sort smallint DEFAULT '0'::smallint NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    CONSTRAINT racks_size CHECK (((shelves >= 1) AND (shelves <= 12) AND ((places >= 1) AND (places <= 40))))
);
CREATE SEQUENCE public.racks_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.racks_id_seq OWNED BY public.racks.id;
CREATE TABLE public.rail_turns (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    "position" character varying(60) NOT NULL,
    face smallint NOT NULL,
    job_id bigint NOT NULL,
    hours numeric(10,1),
    reason character varying(200),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.rail_turns_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.rail_turns_id_seq OWNED BY public.rail_turns.id;
CREATE TABLE public.readings (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    machine_id bigint NOT NULL,
    instrument character varying(60) NOT NULL,
    "position" character varying(60),
    hours numeric(10,1),
    input json NOT NULL,
    result json NOT NULL,
    value double precision,
    unit character varying(20) NOT NULL,
    verdict character varying(16),
    because text,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.readings_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.readings_id_seq OWNED BY public.readings.id;
CREATE TABLE public.recipes (
    id bigint NOT NULL,
    part_id bigint NOT NULL,
    material character varying(20) NOT NULL,
    grams numeric(8,2) NOT NULL,
    price_per_kg_minor bigint NOT NULL,
    print_minutes numeric(8,1) NOT NULL,
    hand_minutes numeric(6,1) NOT NULL,
    file character varying(120),
    file_name character varying(160),
    how character varying(1000),
    CONSTRAINT recipes_figures CHECK (((grams >= (0)::numeric) AND (price_per_kg_minor >= 0) AND (print_minutes >= (0)::numeric) AND (hand_minutes >= (0)::numeric)))
);
CREATE SEQUENCE public.recipes_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.recipes_id_seq OWNED BY public.recipes.id;
CREATE TABLE public.reckoned_minutes (
    job_id bigint NOT NULL,
    station character varying(20) NOT NULL,
    minutes integer NOT NULL
);
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
    at timestamp(0) with time zone NOT NULL,
    sheet json,
    grade character varying(10),
    warranty_until date,
    warranty_hours numeric(10,1),
    CONSTRAINT releases_grade CHECK (((grade)::text = ANY (ARRAY[('fresh'::character varying)::text, ('good'::character varying)::text, ('used'::character varying)::text, ('worn'::character varying)::text])))
);
CREATE SEQUENCE public.releases_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.releases_id_seq OWNED BY public.releases.id;
CREATE TABLE public.reminders (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    after_days smallint NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.reminders_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.reminders_id_seq OWNED BY public.reminders.id;
CREATE TABLE public.reservations (
    id bigint NOT NULL,
    part_id bigint NOT NULL,
    job_id bigint NOT NULL,
    quantity integer NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT reservations_something CHECK ((quantity > 0))
);
CREATE SEQUENCE public.reservations_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.reservations_id_seq OWNED BY public.reservations.id;
CREATE TABLE public.safety_answers (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    question character varying(40) NOT NULL,
    yes boolean,
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
CREATE TABLE public.sales (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    price_minor bigint NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT sales_are CHECK ((price_minor >= 0))
);
CREATE SEQUENCE public.sales_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.sales_id_seq OWNED BY public.sales.id;
CREATE TABLE public.security_events (
    id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    what character varying(40) NOT NULL,
    person_id bigint,
    about character varying(200),
    address character varying(45),
    status smallint NOT NULL
);
CREATE SEQUENCE public.security_events_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.security_events_id_seq OWNED BY public.security_events.id;
CREATE TABLE public.services_done (
    id bigint NOT NULL,
    machine_id bigint NOT NULL,
    item character varying(60) NOT NULL,
    job_id bigint NOT NULL,
    hours numeric(10,1),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL
);
CREATE SEQUENCE public.services_done_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.services_done_id_seq OWNED BY public.services_done.id;
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
CREATE TABLE public.spool_events (
    id bigint NOT NULL,
    spool_id bigint NOT NULL,
    kind character varying(10) NOT NULL,
    grams numeric(7,1),
    hours numeric(5,1),
    celsius numeric(5,1),
    job_id bigint,
    note character varying(200),
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    CONSTRAINT spool_events_kind CHECK (((kind)::text = ANY (ARRAY[('opened'::character varying)::text, ('weighed'::character varying)::text, ('dried'::character varying)::text, ('used'::character varying)::text, ('job'::character varying)::text, ('ended'::character varying)::text])))
);
CREATE SEQUENCE public.spool_events_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.spool_events_id_seq OWNED BY public.spool_events.id;
CREATE TABLE public.spools (
    id bigint NOT NULL,
    code character varying(12) NOT NULL,
    material character varying(20) NOT NULL,
    colour character varying(40),
    lot character varying(40),
    net_g numeric(7,1) NOT NULL,
    empty_g numeric(6,1) NOT NULL,
    left_g numeric(7,1) NOT NULL,
    price_per_kg_minor bigint DEFAULT '0'::bigint NOT NULL,
    made_on date,
    opened_at timestamp(0) with time zone,
    dried_at timestamp(0) with time zone,
    ended_at timestamp(0) with time zone,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    CONSTRAINT spools_figures CHECK (((net_g > (0)::numeric) AND (empty_g >= (0)::numeric) AND (left_g >= (0)::numeric)))
);
CREATE SEQUENCE public.spools_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.spools_id_seq OWNED BY public.spools.id;
CREATE TABLE public.stock_files (
    id bigint NOT NULL,
    kind character varying(10) NOT NULL,
    name character varying(160) NOT NULL,
    path character varying(120) NOT NULL,
    hash character varying(64) NOT NULL,
    counts jsonb,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    applied_at timestamp(0) with time zone,
    CONSTRAINT stock_files_kind CHECK (((kind)::text = ANY (ARRAY[('parts'::character varying)::text, ('stock'::character varying)::text, ('movements'::character varying)::text])))
);
CREATE SEQUENCE public.stock_files_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.stock_files_id_seq OWNED BY public.stock_files.id;
CREATE TABLE public.stocktakes (
    id bigint NOT NULL,
    bins character varying(12) DEFAULT ''::character varying NOT NULL,
    person_id bigint NOT NULL,
    started_at timestamp(0) with time zone NOT NULL,
    ended_at timestamp(0) with time zone,
    ended_by bigint,
    posted boolean DEFAULT false NOT NULL
);
CREATE SEQUENCE public.stocktakes_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.stocktakes_id_seq OWNED BY public.stocktakes.id;
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
CREATE TABLE public.suppliers (
    id bigint NOT NULL,
    name character varying(120) NOT NULL,
    contact character varying(200),
    lead_days integer NOT NULL,
    minimum_minor bigint DEFAULT '0'::bigint NOT NULL,
    freight_minor bigint DEFAULT '0'::bigint NOT NULL,
    created_at timestamp(0) with time zone,
    updated_at timestamp(0) with time zone,
    CONSTRAINT suppliers_figures CHECK (((lead_days >= 0) AND (lead_days <= 365) AND (minimum_minor >= 0) AND (freight_minor >= 0)))
);
CREATE SEQUENCE public.suppliers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.suppliers_id_seq OWNED BY public.suppliers.id;
CREATE TABLE public.supplies (
    id bigint NOT NULL,
    part_id bigint NOT NULL,
    supplier_id bigint NOT NULL,
    number character varying(60),
    pack integer NOT NULL,
    pack_cost_minor bigint NOT NULL,
    preferred boolean DEFAULT true NOT NULL,
    was_minor bigint,
    changed_at timestamp(0) with time zone,
    CONSTRAINT supplies_figures CHECK (((pack >= 1) AND (pack_cost_minor >= 0)))
);
CREATE SEQUENCE public.supplies_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.supplies_id_seq OWNED BY public.supplies.id;
CREATE TABLE public.tag_counters (
    letters character(2) NOT NULL,
    next integer DEFAULT 0 NOT NULL
);
CREATE TABLE public.teardown_backs (
    id bigint NOT NULL,
    teardown_step_id bigint NOT NULL,
    job_id bigint NOT NULL,
    fasteners json NOT NULL,
    sockets json NOT NULL,
    parts json NOT NULL,
    finished boolean NOT NULL,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    undone_at timestamp(0) with time zone,
    undone_by bigint
);
CREATE SEQUENCE public.teardown_backs_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.teardown_backs_id_seq OWNED BY public.teardown_backs.id;
CREATE TABLE public.teardown_steps (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    number smallint NOT NULL,
    off character varying(160) NOT NULL,
    fasteners json NOT NULL,
    missing json NOT NULL,
    sockets json NOT NULL,
    parts json NOT NULL,
    after json,
    before json NOT NULL,
    cell smallint,
    "into" character varying(10),
    engagement_mm double precision,
    room_mm double precision,
    way_round character varying(300),
    caution character varying(300),
    undo_first character varying(300),
    first_pass character varying(300),
    second_pass character varying(300),
    "check" character varying(300),
    photograph_id bigint,
    guide_run_id bigint,
    guide_step smallint,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    withdrawn_at timestamp(0) with time zone,
    withdrawn_by bigint
);
CREATE SEQUENCE public.teardown_steps_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.teardown_steps_id_seq OWNED BY public.teardown_steps.id;
CREATE TABLE public.timers (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    guide_run_id bigint,
    step smallint,
    name character varying(120) NOT NULL,
    began_at timestamp(0) with time zone NOT NULL,
    rings_at timestamp(0) with time zone NOT NULL,
    at_most timestamp(0) with time zone,
    person_id bigint NOT NULL,
    stopped_at timestamp(0) with time zone,
    stopped_by bigint
);
CREATE SEQUENCE public.timers_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.timers_id_seq OWNED BY public.timers.id;
CREATE TABLE public.trials (
    id bigint NOT NULL,
    job_id bigint NOT NULL,
    number integer NOT NULL,
    settings json NOT NULL,
    rating smallint NOT NULL,
    stopped boolean DEFAULT false NOT NULL,
    band_from_mm numeric(7,2),
    band_to_mm numeric(7,2),
    note character varying(200),
    photograph_id bigint,
    person_id bigint NOT NULL,
    at timestamp(0) with time zone NOT NULL,
    withdrawn_by bigint,
    withdrawn_at timestamp(0) with time zone,
    CONSTRAINT trials_band CHECK ((((band_from_mm IS NULL) = (band_to_mm IS NULL)) AND ((band_from_mm IS NULL) OR (band_from_mm < band_to_mm)))),
    CONSTRAINT trials_rating CHECK (((rating >= 1) AND (rating <= 5)))
);
CREATE SEQUENCE public.trials_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.trials_id_seq OWNED BY public.trials.id;
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
ALTER TABLE ONLY public.accessories ALTER COLUMN id SET DEFAULT nextval('public.accessories_id_seq'::regclass);
ALTER TABLE ONLY public.backups ALTER COLUMN id SET DEFAULT nextval('public.backups_id_seq'::regclass);
ALTER TABLE ONLY public.bad_batches ALTER COLUMN id SET DEFAULT nextval('public.bad_batches_id_seq'::regclass);
ALTER TABLE ONLY public.baselines ALTER COLUMN id SET DEFAULT nextval('public.baselines_id_seq'::regclass);
ALTER TABLE ONLY public.bills ALTER COLUMN id SET DEFAULT nextval('public.bills_id_seq'::regclass);
ALTER TABLE ONLY public.bin_counts ALTER COLUMN id SET DEFAULT nextval('public.bin_counts_id_seq'::regclass);
ALTER TABLE ONLY public.campaigns ALTER COLUMN id SET DEFAULT nextval('public.look_lists_id_seq'::regclass);
ALTER TABLE ONLY public.claim_words ALTER COLUMN id SET DEFAULT nextval('public.claim_words_id_seq'::regclass);
ALTER TABLE ONLY public.claims ALTER COLUMN id SET DEFAULT nextval('public.claims_id_seq'::regclass);
ALTER TABLE ONLY public.counters ALTER COLUMN id SET DEFAULT nextval('public.counters_id_seq'::regclass);
ALTER TABLE ONLY public.days_off ALTER COLUMN id SET DEFAULT nextval('public.days_off_id_seq'::regclass);
ALTER TABLE ONLY public.diagnoses ALTER COLUMN id SET DEFAULT nextval('public.diagnoses_id_seq'::regclass);
ALTER TABLE ONLY public.differences_explained ALTER COLUMN id SET DEFAULT nextval('public.differences_explained_id_seq'::regclass);
ALTER TABLE ONLY public.estimate_answers ALTER COLUMN id SET DEFAULT nextval('public.estimate_answers_id_seq'::regclass);
ALTER TABLE ONLY public.estimates ALTER COLUMN id SET DEFAULT nextval('public.estimates_id_seq'::regclass);
ALTER TABLE ONLY public.fittings ALTER COLUMN id SET DEFAULT nextval('public.fittings_id_seq'::regclass);
ALTER TABLE ONLY public.guide_runs ALTER COLUMN id SET DEFAULT nextval('public.guide_runs_id_seq'::regclass);
ALTER TABLE ONLY public.hours ALTER COLUMN id SET DEFAULT nextval('public.hours_id_seq'::regclass);
ALTER TABLE ONLY public.job_events ALTER COLUMN id SET DEFAULT nextval('public.job_events_id_seq'::regclass);
ALTER TABLE ONLY public.job_findings ALTER COLUMN id SET DEFAULT nextval('public.job_findings_id_seq'::regclass);
ALTER TABLE ONLY public.job_waits ALTER COLUMN id SET DEFAULT nextval('public.job_waits_id_seq'::regclass);
ALTER TABLE ONLY public.jobs ALTER COLUMN id SET DEFAULT nextval('public.jobs_id_seq'::regclass);
ALTER TABLE ONLY public.life_fits ALTER COLUMN id SET DEFAULT nextval('public.life_fits_id_seq'::regclass);
ALTER TABLE ONLY public.looks_owed ALTER COLUMN id SET DEFAULT nextval('public.looks_owed_id_seq'::regclass);
ALTER TABLE ONLY public.machines ALTER COLUMN id SET DEFAULT nextval('public.machines_id_seq'::regclass);
ALTER TABLE ONLY public.mends ALTER COLUMN id SET DEFAULT nextval('public.mends_id_seq'::regclass);
ALTER TABLE ONLY public.messages ALTER COLUMN id SET DEFAULT nextval('public.messages_id_seq'::regclass);
ALTER TABLE ONLY public.migrations ALTER COLUMN id SET DEFAULT nextval('public.migrations_id_seq'::regclass);
ALTER TABLE ONLY public.movements ALTER COLUMN id SET DEFAULT nextval('public.movements_id_seq'::regclass);
ALTER TABLE ONLY public.offer_stages ALTER COLUMN id SET DEFAULT nextval('public.offer_stages_id_seq'::regclass);
ALTER TABLE ONLY public.offers ALTER COLUMN id SET DEFAULT nextval('public.offers_id_seq'::regclass);
ALTER TABLE ONLY public.order_lines ALTER COLUMN id SET DEFAULT nextval('public.order_lines_id_seq'::regclass);
ALTER TABLE ONLY public.orders ALTER COLUMN id SET DEFAULT nextval('public.orders_id_seq'::regclass);
ALTER TABLE ONLY public.owners ALTER COLUMN id SET DEFAULT nextval('public.owners_id_seq'::regclass);
ALTER TABLE ONLY public.paper_marks ALTER COLUMN id SET DEFAULT nextval('public.paper_marks_id_seq'::regclass);
ALTER TABLE ONLY public.papers ALTER COLUMN id SET DEFAULT nextval('public.papers_id_seq'::regclass);
ALTER TABLE ONLY public.part_counts ALTER COLUMN id SET DEFAULT nextval('public.part_counts_id_seq'::regclass);
ALTER TABLE ONLY public.parts ALTER COLUMN id SET DEFAULT nextval('public.parts_id_seq'::regclass);
ALTER TABLE ONLY public.people ALTER COLUMN id SET DEFAULT nextval('public.people_id_seq'::regclass);
ALTER TABLE ONLY public.personal_access_tokens ALTER COLUMN id SET DEFAULT nextval('public.personal_access_tokens_id_seq'::regclass);
ALTER TABLE ONLY public.photographs ALTER COLUMN id SET DEFAULT nextval('public.photographs_id_seq'::regclass);
ALTER TABLE ONLY public.pieces ALTER COLUMN id SET DEFAULT nextval('public.pieces_id_seq'::regclass);
ALTER TABLE ONLY public.plan_moves ALTER COLUMN id SET DEFAULT nextval('public.plan_moves_id_seq'::regclass);
ALTER TABLE ONLY public.plan_news ALTER COLUMN id SET DEFAULT nextval('public.plan_news_id_seq'::regclass);
ALTER TABLE ONLY public.plans ALTER COLUMN id SET DEFAULT nextval('public.plans_id_seq'::regclass);
ALTER TABLE ONLY public.promises ALTER COLUMN id SET DEFAULT nextval('public.promises_id_seq'::regclass);
ALTER TABLE ONLY public.proof_results ALTER COLUMN id SET DEFAULT nextval('public.proof_results_id_seq'::regclass);
ALTER TABLE ONLY public.proof_runs ALTER COLUMN id SET DEFAULT nextval('public.proof_runs_id_seq'::regclass);
ALTER TABLE ONLY public.queued_failures ALTER COLUMN id SET DEFAULT nextval('public.queued_failures_id_seq'::regclass);
ALTER TABLE ONLY public.queued_jobs ALTER COLUMN id SET DEFAULT nextval('public.queued_jobs_id_seq'::regclass);
ALTER TABLE ONLY public.racks ALTER COLUMN id SET DEFAULT nextval('public.racks_id_seq'::regclass);
ALTER TABLE ONLY public.rail_turns ALTER COLUMN id SET DEFAULT nextval('public.rail_turns_id_seq'::regclass);
ALTER TABLE ONLY public.readings ALTER COLUMN id SET DEFAULT nextval('public.readings_id_seq'::regclass);
ALTER TABLE ONLY public.recipes ALTER COLUMN id SET DEFAULT nextval('public.recipes_id_seq'::regclass);
ALTER TABLE ONLY public.red_tags ALTER COLUMN id SET DEFAULT nextval('public.red_tags_id_seq'::regclass);
ALTER TABLE ONLY public.releases ALTER COLUMN id SET DEFAULT nextval('public.releases_id_seq'::regclass);
ALTER TABLE ONLY public.reminders ALTER COLUMN id SET DEFAULT nextval('public.reminders_id_seq'::regclass);
ALTER TABLE ONLY public.reservations ALTER COLUMN id SET DEFAULT nextval('public.reservations_id_seq'::regclass);
ALTER TABLE ONLY public.safety_answers ALTER COLUMN id SET DEFAULT nextval('public.safety_answers_id_seq'::regclass);
ALTER TABLE ONLY public.sales ALTER COLUMN id SET DEFAULT nextval('public.sales_id_seq'::regclass);
ALTER TABLE ONLY public.security_events ALTER COLUMN id SET DEFAULT nextval('public.security_events_id_seq'::regclass);
ALTER TABLE ONLY public.services_done ALTER COLUMN id SET DEFAULT nextval('public.services_done_id_seq'::regclass);
ALTER TABLE ONLY public.spool_events ALTER COLUMN id SET DEFAULT nextval('public.spool_events_id_seq'::regclass);
ALTER TABLE ONLY public.spools ALTER COLUMN id SET DEFAULT nextval('public.spools_id_seq'::regclass);
ALTER TABLE ONLY public.stock_files ALTER COLUMN id SET DEFAULT nextval('public.stock_files_id_seq'::regclass);
ALTER TABLE ONLY public.stocktakes ALTER COLUMN id SET DEFAULT nextval('public.stocktakes_id_seq'::regclass);
ALTER TABLE ONLY public.supervised_tests ALTER COLUMN id SET DEFAULT nextval('public.supervised_tests_id_seq'::regclass);
ALTER TABLE ONLY public.suppliers ALTER COLUMN id SET DEFAULT nextval('public.suppliers_id_seq'::regclass);
ALTER TABLE ONLY public.supplies ALTER COLUMN id SET DEFAULT nextval('public.supplies_id_seq'::regclass);
ALTER TABLE ONLY public.teardown_backs ALTER COLUMN id SET DEFAULT nextval('public.teardown_backs_id_seq'::regclass);
ALTER TABLE ONLY public.teardown_steps ALTER COLUMN id SET DEFAULT nextval('public.teardown_steps_id_seq'::regclass);
ALTER TABLE ONLY public.timers ALTER COLUMN id SET DEFAULT nextval('public.timers_id_seq'::regclass);
ALTER TABLE ONLY public.trials ALTER COLUMN id SET DEFAULT nextval('public.trials_id_seq'::regclass);
ALTER TABLE ONLY public.work_spells ALTER COLUMN id SET DEFAULT nextval('public.work_spells_id_seq'::regclass);
INSERT INTO public.bin_stocks VALUES (1, 'C4', 8);
INSERT INTO public.bin_stocks VALUES (2, 'A1', 24);
INSERT INTO public.campaigns VALUES (1, 'dust-under-printer', 'dust-under-printer', 'found at one', 1, 1, '2026-11-22 08:00:00+00', NULL, NULL, 'fault', NULL, NULL, NULL, NULL, NULL, false, NULL, NULL, NULL);
INSERT INTO public.counters VALUES (1, 1, '2026-11-20 08:00:00+00', 1200.0, false, 'booking', 1, NULL, NULL);
INSERT INTO public.counters VALUES (2, 2, '2026-11-21 08:00:00+00', 300.0, false, 'booking', 1, NULL, NULL);
INSERT INTO public.diagnoses VALUES (1, 1, 'tube-cooked', 0.9, 2, '2026-11-20 09:30:00+00', NULL, NULL, NULL, NULL);
INSERT INTO public.fault_counts VALUES ('*', '*first', 0, 0);
INSERT INTO public.hours VALUES (1, NULL, 1, 540, 1020);
INSERT INTO public.hours VALUES (2, NULL, 2, 540, 1020);
INSERT INTO public.hours VALUES (3, NULL, 3, 540, 1020);
INSERT INTO public.hours VALUES (4, NULL, 4, 540, 1020);
INSERT INTO public.hours VALUES (5, NULL, 5, 540, 1020);
INSERT INTO public.job_findings VALUES (1, 1, 'gear-clicks', true, 'told', NULL, 2, '2026-11-20 09:10:00+00', NULL, NULL);
INSERT INTO public.job_findings VALUES (2, 2, 'jams-when-warm', true, 'told', NULL, 2, '2026-11-21 09:10:00+00', NULL, NULL);
INSERT INTO public.job_waits VALUES (1, 1, 'hands', '2026-11-20 09:00:00+00', NULL);
INSERT INTO public.job_waits VALUES (2, 2, 'hands', '2026-11-21 09:00:00+00', NULL);
INSERT INTO public.jobs VALUES (1, 1, 'repair', 'repair', '2026-11-20 09:00:00+00', 'it clicks', NULL, NULL, 'crept-in', 1200.0, NULL, NULL, NULL, NULL, NULL, 'Done here, on to Prove', 1, 1, 1, '2026-11-20 08:00:00+00', NULL, NULL, NULL, NULL, false, NULL, false, NULL);
INSERT INTO public.jobs VALUES (2, 2, 'repair', 'diagnosis', '2026-11-21 09:00:00+00', 'jams', NULL, NULL, 'suddenly', 300.0, NULL, NULL, NULL, NULL, NULL, 'Watch every fan', 3, 1, 1, '2026-11-21 08:00:00+00', NULL, NULL, NULL, NULL, false, NULL, false, NULL);
INSERT INTO public.looks_owed VALUES (1, 1, 1, true, 'thick', NULL, 2, '2026-11-23 08:00:00+00', NULL, 1, NULL, NULL, NULL);
INSERT INTO public.looks_owed VALUES (2, 1, 2, NULL, NULL, NULL, NULL, NULL, NULL, 1, NULL, NULL, NULL);
INSERT INTO public.machines VALUES (2, 'HR-223-K', 'heron-cx', NULL, 'farm', NULL, NULL, NULL, 'service', NULL, NULL, NULL, NULL, NULL, NULL, NULL, 'aaaaaaaaaaaaaaaaaaa2', '2026-11-21 08:00:00+00', NULL, false, false, NULL, NULL);
INSERT INTO public.machines VALUES (1, 'TR-222-R', 'tern-220', NULL, 'farm', NULL, NULL, NULL, 'service', NULL, NULL, NULL, NULL, NULL, '127.0.0.1', 8641, 'aaaaaaaaaaaaaaaaaaa1', '2026-11-20 08:00:00+00', NULL, false, false, NULL, NULL);
INSERT INTO public.mends VALUES (1, 1, 'tube-cooked', 'New liner', '[]', 2, '2026-11-20 10:20:00+00', NULL);
INSERT INTO public.migrations VALUES (1, '2026_01_01_000001_framework', 1);
INSERT INTO public.migrations VALUES (2, '2026_01_01_000002_shop', 1);
INSERT INTO public.migrations VALUES (3, '2026_01_01_000003_machines', 1);
INSERT INTO public.migrations VALUES (4, '2026_01_01_000004_jobs', 1);
INSERT INTO public.migrations VALUES (5, '2026_01_01_000005_bench_work', 1);
INSERT INTO public.migrations VALUES (6, '2026_01_01_000006_stock', 1);
INSERT INTO public.migrations VALUES (7, '2026_11_24_000001_find', 1);
INSERT INTO public.migrations VALUES (8, '2026_11_24_000002_readings', 1);
INSERT INTO public.migrations VALUES (9, '2026_11_24_000003_baselines', 1);
INSERT INTO public.migrations VALUES (10, '2026_11_25_000001_fix', 1);
INSERT INTO public.migrations VALUES (11, '2026_11_25_000002_positions', 1);
INSERT INTO public.migrations VALUES (12, '2026_11_25_000003_proof_runs', 1);
INSERT INTO public.migrations VALUES (13, '2026_11_25_000004_proof_evidence', 1);
INSERT INTO public.migrations VALUES (14, '2026_11_25_000005_send_out', 1);
INSERT INTO public.migrations VALUES (15, '2026_11_25_000006_orders', 1);
INSERT INTO public.migrations VALUES (16, '2026_11_25_000007_shelf', 1);
INSERT INTO public.migrations VALUES (17, '2026_11_27_000001_heat', 2);
INSERT INTO public.migrations VALUES (18, '2026_11_27_000002_heal', 2);
INSERT INTO public.migrations VALUES (19, '2026_11_27_000003_not_checked', 2);
INSERT INTO public.migrations VALUES (20, '2026_11_27_000004_answers', 2);
INSERT INTO public.migrations VALUES (21, '2026_11_27_000005_fittings_ledger', 3);
INSERT INTO public.migrations VALUES (22, '2026_11_27_000006_first_diagnoses', 4);
INSERT INTO public.migrations VALUES (23, '2026_11_27_000007_counters', 4);
INSERT INTO public.migrations VALUES (24, '2026_11_27_000008_people', 4);
INSERT INTO public.migrations VALUES (25, '2026_11_27_000009_backups', 5);
INSERT INTO public.migrations VALUES (26, '2026_11_27_000010_tablets', 5);
INSERT INTO public.migrations VALUES (27, '2026_11_27_000011_owners', 5);
INSERT INTO public.migrations VALUES (28, '2026_11_27_000012_families', 5);
INSERT INTO public.migrations VALUES (29, '2026_11_27_000013_tokens', 5);
INSERT INTO public.migrations VALUES (30, '2026_11_27_000014_counters_from_printers', 5);
INSERT INTO public.migrations VALUES (31, '2026_11_28_000001_money', 6);
INSERT INTO public.migrations VALUES (32, '2026_11_28_000002_fleet', 7);
INSERT INTO public.migrations VALUES (33, '2026_12_01_000001_plan', 8);
INSERT INTO public.migrations VALUES (34, '2026_12_01_000002_plan_looks', 8);
INSERT INTO public.migrations VALUES (35, '2026_12_02_000001_movement_days', 9);
INSERT INTO public.movement_sums VALUES (true, 0);
INSERT INTO public.movements VALUES (1, 1, 'received', 10, 1200, NULL, NULL, NULL, NULL, 1, '2026-11-01 09:00:00+00', NULL, 'C4', NULL, NULL, NULL, NULL);
INSERT INTO public.movements VALUES (2, 2, 'received', 24, 4320, NULL, NULL, NULL, NULL, 1, '2026-11-01 09:01:00+00', NULL, 'A1', NULL, NULL, NULL, NULL);
INSERT INTO public.movements VALUES (3, 1, 'used', -1, -120, 1, 'liner', NULL, NULL, 2, '2026-11-20 10:00:00+00', NULL, 'C4', NULL, NULL, NULL, NULL);
INSERT INTO public.movements VALUES (4, 1, 'used', -2, -240, 1, NULL, NULL, NULL, 2, '2026-11-20 10:05:00+00', NULL, 'C4', NULL, NULL, NULL, NULL);
INSERT INTO public.movements VALUES (5, 1, 'returned', 1, 120, 1, NULL, NULL, NULL, 2, '2026-11-20 10:09:00+00', NULL, 'C4', NULL, NULL, NULL, NULL);
INSERT INTO public.part_uses VALUES ('tern-220', 'liner', 1, 1);
INSERT INTO public.parts VALUES (1, 'LIN-1', 'Liner 4/2 mm, 60 mm', 'liner', 'C4', 8, 960, NULL, NULL, '', NULL, '{}', NULL, NULL, NULL, 'new', NULL, NULL, 'lin-1 liner 4/2 mm, 60 mm', 1);
INSERT INTO public.parts VALUES (2, 'NOZZ-1', 'Nozzle 0.4 brass', 'nozzle', 'A1', 24, 4320, NULL, NULL, '', NULL, '{}', NULL, NULL, NULL, 'new', NULL, NULL, 'nozz-1 nozzle 0.4 brass', 1);
INSERT INTO public.people VALUES (1, 'old', 'Old Hand', 'x', 'lead', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, false, NULL);
INSERT INTO public.people VALUES (2, 'bench', 'Bench Hand', 'x', 'technician', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, false, NULL);
INSERT INTO public.proof_runs VALUES (1, 1, 1, '["identify"]', 'passed', NULL, NULL, NULL, '{}', NULL, false, 2, '2026-11-22 09:00:00+00', NULL, '2026-11-22 09:10:00+00', NULL, NULL, 'cold', NULL, NULL, NULL, NULL);
INSERT INTO public.proof_runs VALUES (2, 1, 1, '["identify"]', 'running', NULL, NULL, NULL, '{}', NULL, false, 2, '2026-11-22 10:00:00+00', NULL, NULL, NULL, NULL, 'cold', NULL, NULL, NULL, NULL);
SELECT pg_catalog.setval('public.accessories_id_seq', 1, false);
SELECT pg_catalog.setval('public.backups_id_seq', 1, false);
SELECT pg_catalog.setval('public.bad_batches_id_seq', 1, false);
SELECT pg_catalog.setval('public.baselines_id_seq', 1, false);
SELECT pg_catalog.setval('public.bills_id_seq', 1, false);
SELECT pg_catalog.setval('public.bin_counts_id_seq', 1, false);
SELECT pg_catalog.setval('public.claim_words_id_seq', 1, false);
SELECT pg_catalog.setval('public.claims_id_seq', 1, false);
SELECT pg_catalog.setval('public.counters_id_seq', 2, true);
SELECT pg_catalog.setval('public.days_off_id_seq', 1, false);
SELECT pg_catalog.setval('public.diagnoses_id_seq', 1, true);
SELECT pg_catalog.setval('public.differences_explained_id_seq', 1, false);
SELECT pg_catalog.setval('public.estimate_answers_id_seq', 1, false);
SELECT pg_catalog.setval('public.estimates_id_seq', 1, false);
SELECT pg_catalog.setval('public.fittings_id_seq', 1, false);
SELECT pg_catalog.setval('public.guide_runs_id_seq', 1, false);
SELECT pg_catalog.setval('public.hours_id_seq', 5, true);
SELECT pg_catalog.setval('public.job_events_id_seq', 1, false);
SELECT pg_catalog.setval('public.job_findings_id_seq', 2, true);
SELECT pg_catalog.setval('public.job_waits_id_seq', 2, true);
SELECT pg_catalog.setval('public.jobs_id_seq', 2, true);
SELECT pg_catalog.setval('public.life_fits_id_seq', 1, false);
SELECT pg_catalog.setval('public.look_lists_id_seq', 1, true);
SELECT pg_catalog.setval('public.looks_owed_id_seq', 2, true);
SELECT pg_catalog.setval('public.machines_id_seq', 2, true);
SELECT pg_catalog.setval('public.mends_id_seq', 1, true);
SELECT pg_catalog.setval('public.messages_id_seq', 1, false);
SELECT pg_catalog.setval('public.migrations_id_seq', 35, true);
SELECT pg_catalog.setval('public.movements_id_seq', 5, true);
SELECT pg_catalog.setval('public.offer_stages_id_seq', 1, false);
SELECT pg_catalog.setval('public.offers_id_seq', 1, false);
SELECT pg_catalog.setval('public.order_lines_id_seq', 1, false);
SELECT pg_catalog.setval('public.orders_id_seq', 1, false);
SELECT pg_catalog.setval('public.owners_id_seq', 1, false);
SELECT pg_catalog.setval('public.paper_marks_id_seq', 1, false);
SELECT pg_catalog.setval('public.papers_id_seq', 1, false);
SELECT pg_catalog.setval('public.part_counts_id_seq', 1, false);
SELECT pg_catalog.setval('public.parts_id_seq', 2, true);
SELECT pg_catalog.setval('public.people_id_seq', 2, true);
SELECT pg_catalog.setval('public.personal_access_tokens_id_seq', 1, false);
SELECT pg_catalog.setval('public.photographs_id_seq', 1, false);
SELECT pg_catalog.setval('public.pieces_id_seq', 1, false);
SELECT pg_catalog.setval('public.plan_moves_id_seq', 1, false);
SELECT pg_catalog.setval('public.plan_news_id_seq', 1, false);
SELECT pg_catalog.setval('public.plans_id_seq', 1, false);
SELECT pg_catalog.setval('public.promises_id_seq', 1, false);
SELECT pg_catalog.setval('public.proof_results_id_seq', 1, false);
SELECT pg_catalog.setval('public.proof_runs_id_seq', 2, true);
SELECT pg_catalog.setval('public.queued_failures_id_seq', 1, false);
SELECT pg_catalog.setval('public.queued_jobs_id_seq', 1, false);
SELECT pg_catalog.setval('public.racks_id_seq', 1, false);
SELECT pg_catalog.setval('public.rail_turns_id_seq', 1, false);
SELECT pg_catalog.setval('public.readings_id_seq', 1, false);
SELECT pg_catalog.setval('public.recipes_id_seq', 1, false);
SELECT pg_catalog.setval('public.red_tags_id_seq', 1, false);
SELECT pg_catalog.setval('public.releases_id_seq', 1, false);
SELECT pg_catalog.setval('public.reminders_id_seq', 1, false);
SELECT pg_catalog.setval('public.reservations_id_seq', 1, false);
SELECT pg_catalog.setval('public.safety_answers_id_seq', 1, false);
SELECT pg_catalog.setval('public.sales_id_seq', 1, false);
SELECT pg_catalog.setval('public.security_events_id_seq', 1, false);
SELECT pg_catalog.setval('public.services_done_id_seq', 1, false);
SELECT pg_catalog.setval('public.spool_events_id_seq', 1, false);
SELECT pg_catalog.setval('public.spools_id_seq', 1, false);
SELECT pg_catalog.setval('public.stock_files_id_seq', 1, false);
SELECT pg_catalog.setval('public.stocktakes_id_seq', 1, false);
SELECT pg_catalog.setval('public.supervised_tests_id_seq', 1, false);
SELECT pg_catalog.setval('public.suppliers_id_seq', 1, false);
SELECT pg_catalog.setval('public.supplies_id_seq', 1, false);
SELECT pg_catalog.setval('public.teardown_backs_id_seq', 1, false);
SELECT pg_catalog.setval('public.teardown_steps_id_seq', 1, false);
SELECT pg_catalog.setval('public.timers_id_seq', 1, false);
SELECT pg_catalog.setval('public.trials_id_seq', 1, false);
SELECT pg_catalog.setval('public.work_spells_id_seq', 1, false);
ALTER TABLE ONLY public.accessories
    ADD CONSTRAINT accessories_job_id_name_unique UNIQUE (job_id, name);
ALTER TABLE ONLY public.accessories
    ADD CONSTRAINT accessories_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.backups
    ADD CONSTRAINT backups_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bad_batches
    ADD CONSTRAINT bad_batches_movement_id_unique UNIQUE (movement_id);
ALTER TABLE ONLY public.bad_batches
    ADD CONSTRAINT bad_batches_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.baselines
    ADD CONSTRAINT baselines_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bills
    ADD CONSTRAINT bills_job_id_unique UNIQUE (job_id);
ALTER TABLE ONLY public.bills
    ADD CONSTRAINT bills_number_unique UNIQUE (number);
ALTER TABLE ONLY public.bills
    ADD CONSTRAINT bills_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bin_counts
    ADD CONSTRAINT bin_counts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bin_counts
    ADD CONSTRAINT bin_counts_stocktake_id_bin_unique UNIQUE (stocktake_id, bin);
ALTER TABLE ONLY public.bin_stocks
    ADD CONSTRAINT bin_stocks_pkey PRIMARY KEY (part_id, bin);
ALTER TABLE ONLY public.cache_locks
    ADD CONSTRAINT cache_locks_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.cache
    ADD CONSTRAINT cache_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.claim_words
    ADD CONSTRAINT claim_words_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.claims
    ADD CONSTRAINT claims_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.class_risks
    ADD CONSTRAINT class_risks_pkey PRIMARY KEY (family, part_class);
ALTER TABLE ONLY public.counters
    ADD CONSTRAINT counters_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.days_off
    ADD CONSTRAINT days_off_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.differences_explained
    ADD CONSTRAINT differences_explained_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.estimate_answers
    ADD CONSTRAINT estimate_answers_estimate_id_unique UNIQUE (estimate_id);
ALTER TABLE ONLY public.estimate_answers
    ADD CONSTRAINT estimate_answers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.estimates
    ADD CONSTRAINT estimates_job_id_number_unique UNIQUE (job_id, number);
ALTER TABLE ONLY public.estimates
    ADD CONSTRAINT estimates_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.families
    ADD CONSTRAINT families_pkey PRIMARY KEY (code);
ALTER TABLE ONLY public.fault_counts
    ADD CONSTRAINT fault_counts_pkey PRIMARY KEY (family, fault);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_movement_id_unique UNIQUE (movement_id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.guide_runs
    ADD CONSTRAINT guide_runs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.guide_steps_done
    ADD CONSTRAINT guide_steps_done_pkey PRIMARY KEY (guide_run_id, step);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_pkey PRIMARY KEY (job_id, code);
ALTER TABLE ONLY public.hours
    ADD CONSTRAINT hours_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.job_events
    ADD CONSTRAINT job_events_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.job_findings
    ADD CONSTRAINT job_findings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.job_waits
    ADD CONSTRAINT job_waits_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.life_fits
    ADD CONSTRAINT life_fits_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT look_lists_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_look_list_id_machine_id_unique UNIQUE (campaign_id, machine_id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.machine_risks
    ADD CONSTRAINT machine_risks_pkey PRIMARY KEY (machine_id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_family_serial_unique UNIQUE (family, serial);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_tag_unique UNIQUE (tag);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.messages
    ADD CONSTRAINT messages_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.migrations
    ADD CONSTRAINT migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.movement_days
    ADD CONSTRAINT movement_days_pkey PRIMARY KEY (class, day);
ALTER TABLE ONLY public.movement_sums
    ADD CONSTRAINT movement_sums_pkey PRIMARY KEY (one);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_undoes_id_unique UNIQUE (undoes_id);
ALTER TABLE ONLY public.offer_stages
    ADD CONSTRAINT offer_stages_offer_id_place_unique UNIQUE (offer_id, place);
ALTER TABLE ONLY public.offer_stages
    ADD CONSTRAINT offer_stages_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.offers
    ADD CONSTRAINT offers_machine_id_unique UNIQUE (machine_id);
ALTER TABLE ONLY public.offers
    ADD CONSTRAINT offers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.once_keys
    ADD CONSTRAINT once_keys_pkey PRIMARY KEY (person_id, key);
ALTER TABLE ONLY public.order_lines
    ADD CONSTRAINT order_lines_order_id_part_id_unique UNIQUE (order_id, part_id);
ALTER TABLE ONLY public.order_lines
    ADD CONSTRAINT order_lines_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.orders
    ADD CONSTRAINT orders_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.owners
    ADD CONSTRAINT owners_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.paper_marks
    ADD CONSTRAINT paper_marks_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.papers
    ADD CONSTRAINT papers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.part_counts
    ADD CONSTRAINT part_counts_bin_count_id_part_id_unique UNIQUE (bin_count_id, part_id);
ALTER TABLE ONLY public.part_counts
    ADD CONSTRAINT part_counts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.part_substitutes
    ADD CONSTRAINT part_substitutes_pkey PRIMARY KEY (part_id, substitute_id);
ALTER TABLE ONLY public.part_uses
    ADD CONSTRAINT part_uses_pkey PRIMARY KEY (family, part_id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_number_unique UNIQUE (number);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_login_unique UNIQUE (login);
ALTER TABLE ONLY public.people
    ADD CONSTRAINT people_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.personal_access_tokens
    ADD CONSTRAINT personal_access_tokens_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.personal_access_tokens
    ADD CONSTRAINT personal_access_tokens_token_unique UNIQUE (token);
ALTER TABLE ONLY public.photographs
    ADD CONSTRAINT photographs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.pickups
    ADD CONSTRAINT pickups_pkey PRIMARY KEY (job_id);
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_machine_id_position_unique UNIQUE (machine_id, "position");
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_movement_id_unique UNIQUE (movement_id);
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plan_moves
    ADD CONSTRAINT plan_moves_job_id_step_unique UNIQUE (job_id, step);
ALTER TABLE ONLY public.plan_moves
    ADD CONSTRAINT plan_moves_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plan_news
    ADD CONSTRAINT plan_news_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.planned_changes
    ADD CONSTRAINT planned_changes_pkey PRIMARY KEY (job_id, "position");
ALTER TABLE ONLY public.plans
    ADD CONSTRAINT plans_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.position_risks
    ADD CONSTRAINT position_risks_pkey PRIMARY KEY (machine_id, "position");
ALTER TABLE ONLY public.promises
    ADD CONSTRAINT promises_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.proof_runs
    ADD CONSTRAINT proof_runs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.proof_samples
    ADD CONSTRAINT proof_samples_pkey PRIMARY KEY (proof_run_id, minute);
ALTER TABLE ONLY public.queued_failures
    ADD CONSTRAINT queued_failures_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.queued_failures
    ADD CONSTRAINT queued_failures_uuid_unique UNIQUE (uuid);
ALTER TABLE ONLY public.queued_jobs
    ADD CONSTRAINT queued_jobs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.rack_places
    ADD CONSTRAINT rack_places_pkey PRIMARY KEY (machine_id);
ALTER TABLE ONLY public.rack_places
    ADD CONSTRAINT rack_places_rack_id_shelf_place_unique UNIQUE (rack_id, shelf, place);
ALTER TABLE ONLY public.racks
    ADD CONSTRAINT racks_name_unique UNIQUE (name);
ALTER TABLE ONLY public.racks
    ADD CONSTRAINT racks_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.rail_turns
    ADD CONSTRAINT rail_turns_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.readings
    ADD CONSTRAINT readings_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.recipes
    ADD CONSTRAINT recipes_part_id_unique UNIQUE (part_id);
ALTER TABLE ONLY public.recipes
    ADD CONSTRAINT recipes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.reckoned_minutes
    ADD CONSTRAINT reckoned_minutes_pkey PRIMARY KEY (job_id, station);
ALTER TABLE ONLY public.red_tags
    ADD CONSTRAINT red_tags_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_job_id_unique UNIQUE (job_id);
ALTER TABLE ONLY public.releases
    ADD CONSTRAINT releases_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.reminders
    ADD CONSTRAINT reminders_job_id_after_days_unique UNIQUE (job_id, after_days);
ALTER TABLE ONLY public.reminders
    ADD CONSTRAINT reminders_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.reservations
    ADD CONSTRAINT reservations_part_id_job_id_unique UNIQUE (part_id, job_id);
ALTER TABLE ONLY public.reservations
    ADD CONSTRAINT reservations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sales
    ADD CONSTRAINT sales_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.security_events
    ADD CONSTRAINT security_events_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.services_done
    ADD CONSTRAINT services_done_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.sessions
    ADD CONSTRAINT sessions_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.settings
    ADD CONSTRAINT settings_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.spool_events
    ADD CONSTRAINT spool_events_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.spools
    ADD CONSTRAINT spools_code_unique UNIQUE (code);
ALTER TABLE ONLY public.spools
    ADD CONSTRAINT spools_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.stock_files
    ADD CONSTRAINT stock_files_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.stocktakes
    ADD CONSTRAINT stocktakes_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_red_tag_id_unique UNIQUE (red_tag_id);
ALTER TABLE ONLY public.suppliers
    ADD CONSTRAINT suppliers_name_unique UNIQUE (name);
ALTER TABLE ONLY public.suppliers
    ADD CONSTRAINT suppliers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.supplies
    ADD CONSTRAINT supplies_part_id_supplier_id_unique UNIQUE (part_id, supplier_id);
ALTER TABLE ONLY public.supplies
    ADD CONSTRAINT supplies_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.tag_counters
    ADD CONSTRAINT tag_counters_pkey PRIMARY KEY (letters);
ALTER TABLE ONLY public.teardown_backs
    ADD CONSTRAINT teardown_backs_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_job_id_number_unique UNIQUE (job_id, number);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.timers
    ADD CONSTRAINT timers_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_job_id_number_unique UNIQUE (job_id, number);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_pkey PRIMARY KEY (id);
CREATE INDEX backups_began_at_index ON public.backups USING btree (began_at);
CREATE INDEX baselines_machine_id_instrument_position_id_index ON public.baselines USING btree (machine_id, instrument, "position", id);
CREATE INDEX bills_at_index ON public.bills USING btree (at);
CREATE INDEX bin_stocks_bin_index ON public.bin_stocks USING btree (bin);
CREATE INDEX cache_expiration_index ON public.cache USING btree (expiration);
CREATE INDEX claim_words_claim_id_index ON public.claim_words USING btree (claim_id);
CREATE INDEX claims_machine_id_index ON public.claims USING btree (machine_id);
CREATE INDEX claims_open ON public.claims USING btree (next_on) WHERE (closed_at IS NULL);
CREATE INDEX counters_machine_id_at_index ON public.counters USING btree (machine_id, at);
CREATE INDEX days_off_last_index ON public.days_off USING btree (last);
CREATE INDEX diagnoses_fault_index ON public.diagnoses USING btree (fault);
CREATE INDEX diagnoses_job_id_asked ON public.diagnoses USING btree (job_id);
CREATE UNIQUE INDEX diagnoses_one ON public.diagnoses USING btree (job_id, fault) WHERE (superseded_at IS NULL);
CREATE INDEX differences_explained_job_id_index ON public.differences_explained USING btree (job_id);
CREATE UNIQUE INDEX estimates_one_stands ON public.estimates USING btree (job_id) WHERE (superseded_at IS NULL);
CREATE INDEX fittings_job_id_index ON public.fittings USING btree (job_id);
CREATE INDEX fittings_machine_id_position_index ON public.fittings USING btree (machine_id, "position");
CREATE UNIQUE INDEX fittings_one ON public.fittings USING btree (machine_id, "position") WHERE (removed_at IS NULL);
CREATE INDEX fittings_part_id_asked ON public.fittings USING btree (part_id);
CREATE INDEX guide_runs_guide_person_id_id_index ON public.guide_runs USING btree (guide, person_id, id);
CREATE INDEX guide_runs_job_id_index ON public.guide_runs USING btree (job_id);
CREATE UNIQUE INDEX guide_runs_one_open ON public.guide_runs USING btree (job_id, guide) WHERE (ended_at IS NULL);
CREATE INDEX hours_person_id_weekday_index ON public.hours USING btree (person_id, weekday);
CREATE INDEX job_events_job_id_version_index ON public.job_events USING btree (job_id, version);
CREATE INDEX job_events_machine_id_id_index ON public.job_events USING btree (machine_id, id);
CREATE INDEX job_findings_job_id_index ON public.job_findings USING btree (job_id);
CREATE UNIQUE INDEX job_findings_one ON public.job_findings USING btree (job_id, code) WHERE (withdrawn_at IS NULL);
CREATE INDEX job_waits_ended_at_index ON public.job_waits USING btree (ended_at);
CREATE UNIQUE INDEX job_waits_one_open ON public.job_waits USING btree (job_id) WHERE (ended_at IS NULL);
CREATE INDEX jobs_machine_id_opened_at_index ON public.jobs USING btree (machine_id, opened_at);
CREATE UNIQUE INDEX jobs_one_open ON public.jobs USING btree (machine_id) WHERE (finished_at IS NULL);
CREATE INDEX jobs_open ON public.jobs USING btree (station) WHERE (finished_at IS NULL);
CREATE INDEX jobs_repairs ON public.jobs USING btree (machine_id, hours) WHERE ((kind)::text = 'repair'::text);
CREATE UNIQUE INDEX life_fits_one ON public.life_fits USING btree (part_class, part_id, family, circumstance) NULLS NOT DISTINCT;
CREATE UNIQUE INDEX look_lists_one_open ON public.campaigns USING btree (fault) WHERE (closed_at IS NULL);
CREATE INDEX looks_owed_machine_id_index ON public.looks_owed USING btree (machine_id);
CREATE INDEX machine_risks_stale ON public.machine_risks USING btree (machine_id) WHERE stale;
CREATE INDEX machines_family_index ON public.machines USING btree (family);
CREATE INDEX machines_owner_id_index ON public.machines USING btree (owner_id);
CREATE UNIQUE INDEX machines_page_key ON public.machines USING btree (page_key);
CREATE INDEX machines_place_index ON public.machines USING btree (place);
CREATE INDEX mends_job_id_asked ON public.mends USING btree (job_id);
CREATE INDEX messages_job_id_id_index ON public.messages USING btree (job_id, id);
CREATE INDEX movements_job_id_index ON public.movements USING btree (job_id);
CREATE INDEX movements_machine_id_index ON public.movements USING btree (machine_id);
CREATE INDEX movements_order_line_id_index ON public.movements USING btree (order_line_id);
CREATE INDEX movements_part_id_id_index ON public.movements USING btree (part_id, id);
CREATE INDEX movements_taken ON public.movements USING btree (part_id, at) INCLUDE (kind, quantity);
CREATE INDEX movements_used ON public.movements USING btree (at) INCLUDE (job_id, value_minor) WHERE ((kind)::text = ANY ((ARRAY['used'::character varying, 'returned'::character varying])::text[]));
CREATE INDEX movements_when ON public.movements USING brin (at) WITH (pages_per_range='16');
CREATE INDEX once_keys_created_at_index ON public.once_keys USING btree (created_at);
CREATE INDEX order_lines_part_id_index ON public.order_lines USING btree (part_id);
CREATE INDEX orders_closed_at_index ON public.orders USING btree (closed_at);
CREATE INDEX owners_name ON public.owners USING btree (lower((name)::text));
CREATE INDEX paper_marks_paper_id_index ON public.paper_marks USING btree (paper_id);
CREATE INDEX papers_family_index ON public.papers USING btree (family);
CREATE INDEX part_substitutes_substitute_id_index ON public.part_substitutes USING btree (substitute_id);
CREATE INDEX part_uses_family_class_times_index ON public.part_uses USING btree (family, class, times);
CREATE INDEX part_uses_part_id_index ON public.part_uses USING btree (part_id);
CREATE INDEX parts_bin_index ON public.parts USING btree (bin);
CREATE INDEX parts_bin_number_index ON public.parts USING btree (bin, number);
CREATE INDEX parts_class_index ON public.parts USING btree (class) INCLUDE (on_hand, value_minor);
CREATE INDEX parts_counts_with_id_index ON public.parts USING btree (counts_with_id);
CREATE INDEX parts_search ON public.parts USING gin (search public.gin_trgm_ops) WITH (fastupdate=off);
CREATE INDEX parts_successor_id_index ON public.parts USING btree (successor_id);
CREATE INDEX parts_used_of_id_index ON public.parts USING btree (used_of_id);
CREATE UNIQUE INDEX parts_used_once ON public.parts USING btree (used_of_id, grade) WHERE (used_of_id IS NOT NULL);
CREATE INDEX people_calendar_secret_index ON public.people USING btree (calendar_secret);
CREATE INDEX personal_access_tokens_expires_at_index ON public.personal_access_tokens USING btree (expires_at);
CREATE INDEX personal_access_tokens_tokenable_type_tokenable_id_index ON public.personal_access_tokens USING btree (tokenable_type, tokenable_id);
CREATE INDEX photographs_job_id_index ON public.photographs USING btree (job_id);
CREATE INDEX position_risks_by_chance_1 ON public.position_risks USING btree (risk_1) WHERE (change_at_h IS NULL);
CREATE INDEX position_risks_by_chance_2 ON public.position_risks USING btree (risk_2) WHERE (change_at_h IS NULL);
CREATE INDEX position_risks_by_chance_4 ON public.position_risks USING btree (risk_4) WHERE (change_at_h IS NULL);
CREATE INDEX position_risks_by_chance_8 ON public.position_risks USING btree (risk_8) WHERE (change_at_h IS NULL);
CREATE INDEX position_risks_not_counted ON public.position_risks USING btree (machine_id) WHERE (not_counted IS NOT NULL);
CREATE INDEX position_risks_part_class_index ON public.position_risks USING btree (part_class);
CREATE INDEX promises_job_id_index ON public.promises USING btree (job_id);
CREATE INDEX proof_results_job_id_id_index ON public.proof_results USING btree (job_id, id);
CREATE INDEX proof_runs_job_id_index ON public.proof_runs USING btree (job_id);
CREATE UNIQUE INDEX proof_runs_one ON public.proof_runs USING btree (machine_id) WHERE (ended_at IS NULL);
CREATE UNIQUE INDEX proof_runs_one_printer ON public.proof_runs USING btree (address) WHERE ((ended_at IS NULL) OR ((heat)::text = ANY (ARRAY[('hot'::character varying)::text, ('unconfirmed'::character varying)::text])));
CREATE INDEX queued_jobs_queue_index ON public.queued_jobs USING btree (queue);
CREATE INDEX rail_turns_job_id_asked ON public.rail_turns USING btree (job_id);
CREATE INDEX rail_turns_machine_id_position_index ON public.rail_turns USING btree (machine_id, "position");
CREATE INDEX readings_instrument_position_id_index ON public.readings USING btree (instrument, "position", id);
CREATE INDEX readings_job_id_index ON public.readings USING btree (job_id);
CREATE INDEX readings_machine_id_instrument_position_id_index ON public.readings USING btree (machine_id, instrument, "position", id);
CREATE UNIQUE INDEX red_tags_one_on ON public.red_tags USING btree (machine_id) WHERE (off_at IS NULL);
CREATE INDEX reservations_job_id_index ON public.reservations USING btree (job_id);
CREATE INDEX safety_answers_job_id_question_index ON public.safety_answers USING btree (job_id, question);
CREATE INDEX sales_at_index ON public.sales USING btree (at);
CREATE INDEX sales_machine_id_index ON public.sales USING btree (machine_id);
CREATE INDEX security_events_at_index ON public.security_events USING btree (at);
CREATE INDEX services_done_machine_id_item_id_index ON public.services_done USING btree (machine_id, item, id);
CREATE INDEX sessions_last_activity_index ON public.sessions USING btree (last_activity);
CREATE INDEX sessions_user_id_index ON public.sessions USING btree (user_id);
CREATE INDEX spool_events_spool_id_index ON public.spool_events USING btree (spool_id);
CREATE UNIQUE INDEX stocktakes_one ON public.stocktakes USING btree ((1)) WHERE (ended_at IS NULL);
CREATE INDEX supplies_number_index ON public.supplies USING btree (number);
CREATE UNIQUE INDEX supplies_one_preferred ON public.supplies USING btree (part_id) WHERE preferred;
CREATE INDEX supplies_supplier_id_index ON public.supplies USING btree (supplier_id);
CREATE INDEX teardown_backs_job_id_index ON public.teardown_backs USING btree (job_id);
CREATE UNIQUE INDEX teardown_backs_one ON public.teardown_backs USING btree (teardown_step_id) WHERE (undone_at IS NULL);
CREATE INDEX timers_job_id_asked ON public.timers USING btree (job_id);
CREATE INDEX timers_running ON public.timers USING btree (rings_at) WHERE (stopped_at IS NULL);
CREATE INDEX work_spells_job_id_station_index ON public.work_spells USING btree (job_id, station);
CREATE UNIQUE INDEX work_spells_one_job ON public.work_spells USING btree (person_id) WHERE (ended_at IS NULL);
CREATE TRIGGER movement_days_follow AFTER UPDATE OF class ON public.parts FOR EACH ROW WHEN (((old.class)::text IS DISTINCT FROM (new.class)::text)) EXECUTE FUNCTION public.movement_days_follow();
ALTER TABLE ONLY public.accessories
    ADD CONSTRAINT accessories_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.bad_batches
    ADD CONSTRAINT bad_batches_movement_id_foreign FOREIGN KEY (movement_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.bad_batches
    ADD CONSTRAINT bad_batches_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.baselines
    ADD CONSTRAINT baselines_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.baselines
    ADD CONSTRAINT baselines_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.baselines
    ADD CONSTRAINT baselines_proof_run_id_foreign FOREIGN KEY (proof_run_id) REFERENCES public.proof_runs(id);
ALTER TABLE ONLY public.baselines
    ADD CONSTRAINT baselines_reading_id_foreign FOREIGN KEY (reading_id) REFERENCES public.readings(id);
ALTER TABLE ONLY public.bills
    ADD CONSTRAINT bills_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.bills
    ADD CONSTRAINT bills_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.bin_counts
    ADD CONSTRAINT bin_counts_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.bin_counts
    ADD CONSTRAINT bin_counts_stocktake_id_foreign FOREIGN KEY (stocktake_id) REFERENCES public.stocktakes(id);
ALTER TABLE ONLY public.bin_stocks
    ADD CONSTRAINT bin_stocks_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT campaigns_assigned_to_foreign FOREIGN KEY (assigned_to) REFERENCES public.people(id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT campaigns_tagged_by_foreign FOREIGN KEY (tagged_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.claim_words
    ADD CONSTRAINT claim_words_claim_id_foreign FOREIGN KEY (claim_id) REFERENCES public.claims(id);
ALTER TABLE ONLY public.claim_words
    ADD CONSTRAINT claim_words_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.claims
    ADD CONSTRAINT claims_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.claims
    ADD CONSTRAINT claims_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.claims
    ADD CONSTRAINT claims_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.counters
    ADD CONSTRAINT counters_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.counters
    ADD CONSTRAINT counters_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.counters
    ADD CONSTRAINT counters_withdrawn_by_foreign FOREIGN KEY (withdrawn_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.days_off
    ADD CONSTRAINT days_off_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_comeback_of_foreign FOREIGN KEY (comeback_of) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.diagnoses
    ADD CONSTRAINT diagnoses_superseded_by_foreign FOREIGN KEY (superseded_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.differences_explained
    ADD CONSTRAINT differences_explained_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.differences_explained
    ADD CONSTRAINT differences_explained_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.estimate_answers
    ADD CONSTRAINT estimate_answers_estimate_id_foreign FOREIGN KEY (estimate_id) REFERENCES public.estimates(id);
ALTER TABLE ONLY public.estimate_answers
    ADD CONSTRAINT estimate_answers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.estimates
    ADD CONSTRAINT estimates_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.estimates
    ADD CONSTRAINT estimates_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.families
    ADD CONSTRAINT families_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_ended_by_foreign FOREIGN KEY (ended_by) REFERENCES public.movements(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_movement_id_foreign FOREIGN KEY (movement_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_removed_by_foreign FOREIGN KEY (removed_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_removed_job_id_foreign FOREIGN KEY (removed_job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.fittings
    ADD CONSTRAINT fittings_replaces_id_foreign FOREIGN KEY (replaces_id) REFERENCES public.fittings(id) ON DELETE SET NULL;
ALTER TABLE ONLY public.guide_runs
    ADD CONSTRAINT guide_runs_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.guide_runs
    ADD CONSTRAINT guide_runs_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.guide_steps_done
    ADD CONSTRAINT guide_steps_done_guide_run_id_foreign FOREIGN KEY (guide_run_id) REFERENCES public.guide_runs(id);
ALTER TABLE ONLY public.guide_steps_done
    ADD CONSTRAINT guide_steps_done_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.hidden_checks
    ADD CONSTRAINT hidden_checks_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.hours
    ADD CONSTRAINT hours_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
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
ALTER TABLE ONLY public.job_waits
    ADD CONSTRAINT job_waits_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_opened_by_foreign FOREIGN KEY (opened_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.jobs
    ADD CONSTRAINT jobs_spool_id_foreign FOREIGN KEY (spool_id) REFERENCES public.spools(id);
ALTER TABLE ONLY public.life_fits
    ADD CONSTRAINT life_fits_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT look_lists_closed_by_foreign FOREIGN KEY (closed_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT look_lists_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.campaigns
    ADD CONSTRAINT look_lists_opened_by_foreign FOREIGN KEY (opened_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_look_list_id_foreign FOREIGN KEY (campaign_id) REFERENCES public.campaigns(id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_looked_by_foreign FOREIGN KEY (looked_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.looks_owed
    ADD CONSTRAINT looks_owed_mended_by_foreign FOREIGN KEY (mended_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.machine_risks
    ADD CONSTRAINT machine_risks_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.machines
    ADD CONSTRAINT machines_owner_id_foreign FOREIGN KEY (owner_id) REFERENCES public.owners(id);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.mends
    ADD CONSTRAINT mends_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.messages
    ADD CONSTRAINT messages_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.messages
    ADD CONSTRAINT messages_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_order_line_id_foreign FOREIGN KEY (order_line_id) REFERENCES public.order_lines(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_stocktake_id_foreign FOREIGN KEY (stocktake_id) REFERENCES public.stocktakes(id);
ALTER TABLE ONLY public.movements
    ADD CONSTRAINT movements_undoes_id_foreign FOREIGN KEY (undoes_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.offer_stages
    ADD CONSTRAINT offer_stages_offer_id_foreign FOREIGN KEY (offer_id) REFERENCES public.offers(id);
ALTER TABLE ONLY public.offer_stages
    ADD CONSTRAINT offer_stages_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.offers
    ADD CONSTRAINT offers_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.offers
    ADD CONSTRAINT offers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.once_keys
    ADD CONSTRAINT once_keys_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.order_lines
    ADD CONSTRAINT order_lines_order_id_foreign FOREIGN KEY (order_id) REFERENCES public.orders(id);
ALTER TABLE ONLY public.order_lines
    ADD CONSTRAINT order_lines_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.orders
    ADD CONSTRAINT orders_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.orders
    ADD CONSTRAINT orders_supplier_id_foreign FOREIGN KEY (supplier_id) REFERENCES public.suppliers(id);
ALTER TABLE ONLY public.owners
    ADD CONSTRAINT owners_merged_into_foreign FOREIGN KEY (merged_into) REFERENCES public.owners(id);
ALTER TABLE ONLY public.paper_marks
    ADD CONSTRAINT paper_marks_paper_id_foreign FOREIGN KEY (paper_id) REFERENCES public.papers(id);
ALTER TABLE ONLY public.paper_marks
    ADD CONSTRAINT paper_marks_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.papers
    ADD CONSTRAINT papers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.part_counts
    ADD CONSTRAINT part_counts_bin_count_id_foreign FOREIGN KEY (bin_count_id) REFERENCES public.bin_counts(id);
ALTER TABLE ONLY public.part_counts
    ADD CONSTRAINT part_counts_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.part_counts
    ADD CONSTRAINT part_counts_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.part_substitutes
    ADD CONSTRAINT part_substitutes_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.part_substitutes
    ADD CONSTRAINT part_substitutes_substitute_id_foreign FOREIGN KEY (substitute_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.part_uses
    ADD CONSTRAINT part_uses_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_counts_with_id_foreign FOREIGN KEY (counts_with_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_successor_id_foreign FOREIGN KEY (successor_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.parts
    ADD CONSTRAINT parts_used_of_id_foreign FOREIGN KEY (used_of_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.photographs
    ADD CONSTRAINT photographs_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.photographs
    ADD CONSTRAINT photographs_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.pickups
    ADD CONSTRAINT pickups_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.pickups
    ADD CONSTRAINT pickups_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.pieces
    ADD CONSTRAINT pieces_movement_id_foreign FOREIGN KEY (movement_id) REFERENCES public.movements(id);
ALTER TABLE ONLY public.plan_moves
    ADD CONSTRAINT plan_moves_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.plan_moves
    ADD CONSTRAINT plan_moves_moved_by_foreign FOREIGN KEY (moved_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.plan_moves
    ADD CONSTRAINT plan_moves_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.planned_changes
    ADD CONSTRAINT planned_changes_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.position_risks
    ADD CONSTRAINT position_risks_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.position_risks
    ADD CONSTRAINT position_risks_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.promises
    ADD CONSTRAINT promises_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.promises
    ADD CONSTRAINT promises_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.proof_results
    ADD CONSTRAINT proof_results_photograph_id_foreign FOREIGN KEY (photograph_id) REFERENCES public.photographs(id);
ALTER TABLE ONLY public.proof_runs
    ADD CONSTRAINT proof_runs_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.proof_runs
    ADD CONSTRAINT proof_runs_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.proof_runs
    ADD CONSTRAINT proof_runs_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.proof_runs
    ADD CONSTRAINT proof_runs_unplugged_by_foreign FOREIGN KEY (unplugged_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.proof_samples
    ADD CONSTRAINT proof_samples_proof_run_id_foreign FOREIGN KEY (proof_run_id) REFERENCES public.proof_runs(id);
ALTER TABLE ONLY public.rack_places
    ADD CONSTRAINT rack_places_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.rack_places
    ADD CONSTRAINT rack_places_rack_id_foreign FOREIGN KEY (rack_id) REFERENCES public.racks(id);
ALTER TABLE ONLY public.rail_turns
    ADD CONSTRAINT rail_turns_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.rail_turns
    ADD CONSTRAINT rail_turns_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.rail_turns
    ADD CONSTRAINT rail_turns_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.readings
    ADD CONSTRAINT readings_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.readings
    ADD CONSTRAINT readings_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.readings
    ADD CONSTRAINT readings_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.recipes
    ADD CONSTRAINT recipes_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.reckoned_minutes
    ADD CONSTRAINT reckoned_minutes_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
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
ALTER TABLE ONLY public.reminders
    ADD CONSTRAINT reminders_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.reminders
    ADD CONSTRAINT reminders_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.reservations
    ADD CONSTRAINT reservations_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.reservations
    ADD CONSTRAINT reservations_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.reservations
    ADD CONSTRAINT reservations_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.safety_answers
    ADD CONSTRAINT safety_answers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.sales
    ADD CONSTRAINT sales_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.sales
    ADD CONSTRAINT sales_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.security_events
    ADD CONSTRAINT security_events_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.services_done
    ADD CONSTRAINT services_done_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.services_done
    ADD CONSTRAINT services_done_machine_id_foreign FOREIGN KEY (machine_id) REFERENCES public.machines(id);
ALTER TABLE ONLY public.services_done
    ADD CONSTRAINT services_done_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.spool_events
    ADD CONSTRAINT spool_events_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.spool_events
    ADD CONSTRAINT spool_events_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.spool_events
    ADD CONSTRAINT spool_events_spool_id_foreign FOREIGN KEY (spool_id) REFERENCES public.spools(id);
ALTER TABLE ONLY public.stock_files
    ADD CONSTRAINT stock_files_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.stocktakes
    ADD CONSTRAINT stocktakes_ended_by_foreign FOREIGN KEY (ended_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.stocktakes
    ADD CONSTRAINT stocktakes_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_done_by_foreign FOREIGN KEY (done_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_red_tag_id_foreign FOREIGN KEY (red_tag_id) REFERENCES public.red_tags(id);
ALTER TABLE ONLY public.supervised_tests
    ADD CONSTRAINT supervised_tests_signed_by_foreign FOREIGN KEY (signed_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.supplies
    ADD CONSTRAINT supplies_part_id_foreign FOREIGN KEY (part_id) REFERENCES public.parts(id);
ALTER TABLE ONLY public.supplies
    ADD CONSTRAINT supplies_supplier_id_foreign FOREIGN KEY (supplier_id) REFERENCES public.suppliers(id);
ALTER TABLE ONLY public.teardown_backs
    ADD CONSTRAINT teardown_backs_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.teardown_backs
    ADD CONSTRAINT teardown_backs_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.teardown_backs
    ADD CONSTRAINT teardown_backs_teardown_step_id_foreign FOREIGN KEY (teardown_step_id) REFERENCES public.teardown_steps(id);
ALTER TABLE ONLY public.teardown_backs
    ADD CONSTRAINT teardown_backs_undone_by_foreign FOREIGN KEY (undone_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_guide_run_id_foreign FOREIGN KEY (guide_run_id) REFERENCES public.guide_runs(id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_photograph_id_foreign FOREIGN KEY (photograph_id) REFERENCES public.photographs(id);
ALTER TABLE ONLY public.teardown_steps
    ADD CONSTRAINT teardown_steps_withdrawn_by_foreign FOREIGN KEY (withdrawn_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.timers
    ADD CONSTRAINT timers_guide_run_id_foreign FOREIGN KEY (guide_run_id) REFERENCES public.guide_runs(id);
ALTER TABLE ONLY public.timers
    ADD CONSTRAINT timers_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.timers
    ADD CONSTRAINT timers_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.timers
    ADD CONSTRAINT timers_stopped_by_foreign FOREIGN KEY (stopped_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_photograph_id_foreign FOREIGN KEY (photograph_id) REFERENCES public.photographs(id);
ALTER TABLE ONLY public.trials
    ADD CONSTRAINT trials_withdrawn_by_foreign FOREIGN KEY (withdrawn_by) REFERENCES public.people(id);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_job_id_foreign FOREIGN KEY (job_id) REFERENCES public.jobs(id);
ALTER TABLE ONLY public.work_spells
    ADD CONSTRAINT work_spells_person_id_foreign FOREIGN KEY (person_id) REFERENCES public.people(id);

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Fish as they grow, move and die; feed as planned and as given; what befell a filter, and how it was
 * measured; what-ifs that are kept.
 *
 * Protects: what happened to fish is written once and stays; a move names both systems; a feed that
 * was given is a fact and is withdrawn rather than changed; a filter measured keeps the figures it was
 * worked out from; a what-if has a name within its system.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE fish_groups
                DROP CONSTRAINT fish_groups_count_check,
                ADD CONSTRAINT fish_groups_count_check CHECK (count BETWEEN 0 AND 100000),
                ADD COLUMN weight_g double precision CHECK (weight_g BETWEEN 0.01 AND 100000),
                ADD COLUMN arrived_on date,
                ADD UNIQUE (site_id, id);

            CREATE TABLE fish_measures (
                id            char(26) PRIMARY KEY,
                site_id       char(26) NOT NULL,
                fish_group_id char(26) NOT NULL,
                user_id       char(26) REFERENCES users (id),
                measured_on   date NOT NULL,
                length_cm     double precision CHECK (length_cm BETWEEN 0.5 AND 130),
                weight_g      double precision CHECK (weight_g BETWEEN 0.01 AND 100000),
                created_at    timestamptz NOT NULL DEFAULT now(),
                updated_at    timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, fish_group_id) REFERENCES fish_groups (site_id, id) ON DELETE CASCADE,
                CHECK (num_nonnulls(length_cm, weight_g) >= 1)
            );
            CREATE INDEX fish_measures_group ON fish_measures (fish_group_id, measured_on);

            CREATE TABLE fish_events (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL REFERENCES sites (id),
                kind           varchar(8) NOT NULL CHECK (kind IN ('moved', 'lost', 'sold')),
                from_system_id char(26) NOT NULL,
                to_system_id   char(26),
                group_name     varchar(60) NOT NULL,
                count          integer NOT NULL CHECK (count > 0),
                mean_weight_g  double precision NOT NULL,
                happened_on    date NOT NULL,
                reason         varchar(200),
                user_id        char(26) REFERENCES users (id),
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, from_system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (site_id, to_system_id) REFERENCES systems (site_id, id),
                CHECK ((kind = 'moved') = (to_system_id IS NOT NULL)),
                CHECK (to_system_id <> from_system_id)
            );
            CREATE INDEX fish_events_from ON fish_events (from_system_id, happened_on DESC);
            CREATE INDEX fish_events_to ON fish_events (to_system_id, happened_on DESC);

            ALTER TABLE feed_figures
                ADD COLUMN product           varchar(60),
                ADD COLUMN digestibility_pct double precision CHECK (digestibility_pct BETWEEN 30 AND 100),
                ADD COLUMN moisture_pct      double precision CHECK (moisture_pct BETWEEN 0 AND 90),
                ADD COLUMN uneaten_pct       double precision NOT NULL DEFAULT 0 CHECK (uneaten_pct BETWEEN 0
                    AND 100),
                ADD COLUMN by_ration         boolean NOT NULL DEFAULT false,
                ADD COLUMN meals             integer CHECK (meals BETWEEN 1 AND 48),
                ADD COLUMN days_a_week       integer NOT NULL DEFAULT 7 CHECK (days_a_week BETWEEN 0 AND 7);

            CREATE TABLE feeds (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                fed_at       timestamptz NOT NULL,
                feed_g       double precision NOT NULL CHECK (feed_g BETWEEN 0 AND 500000),
                came_up      varchar(8) CHECK (came_up IN ('yes', 'slowly', 'no')),
                left_some    boolean NOT NULL DEFAULT false,
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX feeds_system ON feeds (system_id, fed_at DESC) WHERE withdrawn_at IS NULL;

            ALTER TABLE vessels
                ADD COLUMN stones_m2 double precision NOT NULL DEFAULT 0 CHECK (stones_m2 BETWEEN 0 AND 100000),
                ADD COLUMN silt_m2   double precision NOT NULL DEFAULT 0 CHECK (silt_m2 BETWEEN 0 AND 100000),
                ADD COLUMN plants_m2 double precision NOT NULL DEFAULT 0 CHECK (plants_m2 BETWEEN 0 AND 100000);
            ALTER TABLE pumps
                ADD COLUMN diffuser varchar(8) CHECK (diffuser IN ('stone', 'fine')),
                ADD COLUMN depth_m  double precision CHECK (depth_m BETWEEN 0.05 AND 10);
            ALTER TABLE stages
                ALTER COLUMN maturity_pct DROP NOT NULL,
                ALTER COLUMN fouling_pct DROP NOT NULL,
                ADD COLUMN cleaned_on date,
                ADD COLUMN fouling_seen_on date;

            CREATE TABLE setbacks (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                happened_on date NOT NULL,
                kind       varchar(10) NOT NULL CHECK (kind IN ('wash', 'stop', 'medicine', 'new_media')),
                lost_pct   double precision NOT NULL CHECK (lost_pct BETWEEN 0 AND 100),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX setbacks_system ON setbacks (system_id, happened_on);

            CREATE TABLE filter_tests (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                tested_at  timestamptz NOT NULL,
                flow_l_h   double precision NOT NULL CHECK (flow_l_h BETWEEN 1 AND 1e8),
                in_mg_l    double precision NOT NULL CHECK (in_mg_l >= 0),
                out_mg_l   double precision NOT NULL CHECK (out_mg_l >= 0),
                expected_g_d double precision NOT NULL,
                in_use     boolean NOT NULL DEFAULT false,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE UNIQUE INDEX filter_tests_used ON filter_tests (system_id) WHERE in_use;

            CREATE TABLE what_ifs (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                changes    jsonb NOT NULL,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE UNIQUE INDEX what_ifs_name ON what_ifs (system_id, lower(name));
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE what_ifs, filter_tests, setbacks, feeds, fish_events, fish_measures;
            UPDATE stages SET maturity_pct = coalesce(maturity_pct, 100), fouling_pct = coalesce(fouling_pct, 0);
            ALTER TABLE stages DROP COLUMN cleaned_on, DROP COLUMN fouling_seen_on,
                ALTER COLUMN maturity_pct SET NOT NULL, ALTER COLUMN fouling_pct SET NOT NULL;
            ALTER TABLE pumps DROP COLUMN diffuser, DROP COLUMN depth_m;
            ALTER TABLE vessels DROP COLUMN stones_m2, DROP COLUMN silt_m2, DROP COLUMN plants_m2;
            ALTER TABLE feed_figures DROP COLUMN product, DROP COLUMN digestibility_pct, DROP COLUMN moisture_pct,
                DROP COLUMN uneaten_pct, DROP COLUMN by_ration, DROP COLUMN meals, DROP COLUMN days_a_week;
            DELETE FROM fish_groups WHERE count = 0;
            ALTER TABLE fish_groups DROP CONSTRAINT fish_groups_site_id_id_key, DROP COLUMN weight_g,
                DROP COLUMN arrived_on, DROP CONSTRAINT fish_groups_count_check,
                    ADD CONSTRAINT fish_groups_count_check CHECK (count BETWEEN 1 AND 100000);
            SQL
            ,
        );
    }
};

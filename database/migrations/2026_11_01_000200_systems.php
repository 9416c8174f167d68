<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Systems and what they are built of: vessels, filter stages, fish and feed.
 *
 * Protects: nothing belongs to a system of another site (the pair of site and system is the key that
 * parts refer to); a stage names a medium or its surface, never both; counts, sizes and shares stay
 * in the range that the calculators take; feed figures are a history, one from each day on.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE systems (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL REFERENCES sites (id),
                slug       varchar(60) NOT NULL CHECK (slug ~ '^[a-z0-9]+(-[a-z0-9]+)*$'),
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind       varchar(12) NOT NULL CHECK (kind IN ('holding', 'quarantine', 'start', 'display', 'fry',
                    'hospital')),
                life_stage varchar(12) NOT NULL CHECK (life_stage IN ('adult', 'grow_on', 'fry', 'quarantine',
                    'starting')),
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (site_id, id),
                UNIQUE (site_id, slug)
            );
            CREATE UNIQUE INDEX systems_name ON systems (site_id, lower(name));

            CREATE TABLE vessels (
                id          char(26) PRIMARY KEY,
                site_id     char(26) NOT NULL,
                system_id   char(26) NOT NULL,
                name        varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind        varchar(12) NOT NULL CHECK (kind IN ('bay', 'vat', 'tub', 'pond', 'sump', 'chamber')),
                shape       varchar(20) NOT NULL,
                measures    jsonb NOT NULL,
                freeboard_m double precision NOT NULL CHECK (freeboard_m >= 0),
                displaced_l double precision NOT NULL CHECK (displaced_l >= 0),
                position    integer NOT NULL DEFAULT 0,
                created_at  timestamptz NOT NULL DEFAULT now(),
                updated_at  timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE UNIQUE INDEX vessels_name ON vessels (system_id, lower(name));

            CREATE TABLE stages (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                name         varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                kind         varchar(20) NOT NULL,
                medium       varchar(40),
                area_m2_m3   double precision CHECK (area_m2_m3 BETWEEN 0 AND 20000),
                media_l      double precision NOT NULL CHECK (media_l BETWEEN 0 AND 1000000),
                flow_l_h     double precision NOT NULL CHECK (flow_l_h BETWEEN 0 AND 10000000),
                branch       varchar(40),
                air_l_min    double precision NOT NULL CHECK (air_l_min BETWEEN 0 AND 100000),
                maturity_pct double precision NOT NULL CHECK (maturity_pct BETWEEN 0 AND 100),
                fouling_pct  double precision NOT NULL CHECK (fouling_pct BETWEEN 0 AND 100),
                position     integer NOT NULL,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (medium IS NULL OR area_m2_m3 IS NULL)
            );
            CREATE INDEX stages_system ON stages (system_id, position);

            CREATE TABLE fish_groups (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                count      integer NOT NULL CHECK (count BETWEEN 1 AND 100000),
                length_cm  double precision NOT NULL CHECK (length_cm BETWEEN 0.5 AND 130),
                condition  double precision NOT NULL CHECK (condition BETWEEN 0.5 AND 3),
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX fish_groups_system ON fish_groups (system_id, position);

            CREATE TABLE feed_figures (
                id                char(26) PRIMARY KEY,
                site_id           char(26) NOT NULL,
                system_id         char(26) NOT NULL,
                user_id           char(26) REFERENCES users (id),
                since             date NOT NULL,
                feed_g_d          double precision NOT NULL CHECK (feed_g_d BETWEEN 0 AND 500000),
                protein_pct       double precision NOT NULL CHECK (protein_pct BETWEEN 5 AND 80),
                created_at        timestamptz NOT NULL DEFAULT now(),
                updated_at        timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (system_id, since)
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE feed_figures, fish_groups, stages, vessels, systems');
    }
};

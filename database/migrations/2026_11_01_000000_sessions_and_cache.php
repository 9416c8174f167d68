<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Sessions, cache and locks live in the database, so that any number of application nodes can share them. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE sessions (
                id            varchar(255) PRIMARY KEY,
                user_id       char(26),
                ip_address    varchar(45),
                user_agent    text,
                payload       text NOT NULL,
                last_activity integer NOT NULL
            );
            CREATE INDEX sessions_last_activity ON sessions (last_activity);

            CREATE TABLE cache (
                key        varchar(255) PRIMARY KEY,
                value      text NOT NULL,
                expiration bigint NOT NULL
            );
            CREATE TABLE cache_locks (
                key        varchar(255) PRIMARY KEY,
                owner      varchar(255) NOT NULL,
                expiration bigint NOT NULL
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE cache_locks, cache, sessions');
    }
};

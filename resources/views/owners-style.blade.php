    <style>
        body { margin: 0; background: #f4f1e8; color: #1d2326; font: 17px/1.5 system-ui, sans-serif; }
        main { box-sizing: border-box; max-width: 44rem; margin: 0 auto; padding: 1.2rem 1.1rem 3rem; }
        h1 { font-size: 1.7rem; line-height: 1.15; margin: 0.2rem 0 0.5rem; }
        h2 { font-size: 1.05rem; margin: 1.7rem 0 0.4rem; padding-bottom: 0.25rem; border-bottom: 2px solid #1d2326; }
        p, ul { margin: 0 0 0.5rem; overflow-wrap: anywhere; }
        ul { padding-left: 1.2rem; }
        table { border-collapse: collapse; width: 100%; }
        td, th { text-align: left; vertical-align: top; padding: 0.3rem 0.7rem 0.3rem 0; border-bottom: 1px solid #c9c3b4; overflow-wrap: anywhere; }
        td:last-child, th:last-child { padding-right: 0; }
        th { font-weight: 400; color: #4f5a5e; }
        .quiet { color: #4f5a5e; }
        .fig { font-family: ui-monospace, monospace; font-size: 0.95em; }
        .right { text-align: right; }
        .one { white-space: nowrap; }
        .danger { border: 4px solid #a1121f; padding: 0.8rem 1rem; color: #a1121f; }
        .grade { border: 2px solid #1d2326; background: #fff; padding: 0.8rem 1rem; margin-top: 1rem; }
        .grade strong { font-size: 1.4rem; }
        .now { border-left: 6px solid #0f5661; background: #fff; padding: 0.7rem 1rem; margin-bottom: 1.4rem; }
        .pdf { display: inline-block; margin-top: 1.6rem; padding: 0.65rem 1.1rem; border: 1px solid #0f5661; background: #fff; color: #0f5661; font-weight: 600; text-decoration: none; }
        .asked { background: #fff; border: 1px solid #c9c3b4; padding: 0 1rem 1rem; margin-bottom: 1.4rem; }
        .asked input[name=upTo], .asked input[name=above] {
            font: inherit; width: 7rem; padding: 0.3rem 0.4rem; text-align: right; border: 1px solid #747c80;
        }
        .asked label { display: inline-block; padding: 0.35rem 0; }
        .asked .sum { white-space: nowrap; }
        .asked button { margin: 0; font: inherit; font-weight: 600; cursor: pointer; }
        .unseen { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); }
        @media (max-width: 30rem) { body { font-size: 16px; } }
    </style>

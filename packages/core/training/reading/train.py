"""
Trains the reading's network from lessons. Needs PyTorch (Debian: python3-torch, libopenblas0-pthread).
    python3 train.py --folder F [--without a,e,i] [--out weights.bin] ...
F holds lessons.jsonl, mixed.jsonl and vectors.f32, written by export.ts; with --without, hands that judge and do not teach.
"""
import argparse
import json
import math
import random
import time

import numpy as np
import torch
from data import Batch, Score, Unit, batches, learned, lines
from model import Network

parser = argparse.ArgumentParser()
parser.add_argument('--folder', required=True)
parser.add_argument('--without', default='')
parser.add_argument('--out', default='')
parser.add_argument('--width', type=int, default=96)
parser.add_argument('--hidden', type=int, default=96)
parser.add_argument('--numbers', type=int, default=64, help='numbers of a word vector')
parser.add_argument('--epochs', type=int, default=8)
parser.add_argument('--batch', type=int, default=32)
parser.add_argument('--rate', type=float, default=4e-3)
parser.add_argument('--drop', type=float, default=0.5)
parser.add_argument('--drop-feature', type=float, default=0.25)
parser.add_argument('--decay', type=float, default=0.01)
parser.add_argument('--average', type=float, default=0.998, help='what stays of the running mean of the weights, which is kept in the end')
parser.add_argument('--mixed', type=float, default=0.33, help='share of the recombined prompts that an epoch sees')
parser.add_argument('--at-least', type=int, default=3, help='times a feature must have been seen')
parser.add_argument('--seed', type=int, default=1)
parser.add_argument('--every', type=int, default=4)
parser.add_argument('--name', default='')
parser.add_argument('--threads', type=int, default=1)
options = parser.parse_args()

torch.set_num_threads(options.threads)
random.seed(options.seed)
np.random.seed(options.seed)
torch.manual_seed(options.seed)

judging = set(filter(None, options.without.split(',')))
lessons = lines(f'{options.folder}/lessons.jsonl')
vectors = torch.from_numpy(np.fromfile(f'{options.folder}/vectors.f32', dtype=np.float32).reshape(-1, options.numbers))
no_word = len(vectors)
vectors = torch.cat([vectors, torch.zeros(1, options.numbers)])
teaching = [lesson for lesson in lessons if lesson['hand'] not in judging]
held = [lesson for lesson in lessons if lesson['hand'] in judging]
index = learned(teaching, options.at_least)


def joined(units):
    """A prompt's sentences as one sequence, as the reader takes a passage (passages.ts); None where nothing gets a label."""
    words, features, items = [], [], []
    for unit in units:
        items += [[step + len(words), *rest] for step, *rest in unit['items']]
        words += unit['words']
        features += unit['features']
    return Unit({'words': words, 'features': features, 'items': items}, index, no_word) if items else None


def prompts_of(lessons):
    return [prompt for prompt in (joined(lesson['units']) for lesson in lessons) if prompt]


own = prompts_of(teaching)
mixed = prompts_of(lesson for lesson in lines(f'{options.folder}/mixed.jsonl') if not judging & set(lesson['hands'])) if options.mixed > 0 else []
judged = [(lesson, prompt) for lesson in held if (prompt := joined(lesson['units']))]
del lessons

network = Network(len(index), vectors, options.width, options.hidden, options.drop, options.drop_feature)
optimizer = torch.optim.AdamW(network.parameters(), lr=options.rate, weight_decay=options.decay)
mean = {name: value.clone() for name, value in network.state_dict().items()}
per_epoch = (len(own) + len(mixed) * options.mixed) / options.batch
total = options.epochs * per_epoch
steps = 0
began = time.time()


def judge():
    """Macro-F1 of each hand held out, and of all, by the mean of the weights."""
    now = {name: value.clone() for name, value in network.state_dict().items()}
    network.load_state_dict(mean)
    network.eval()
    scores = {}
    order = sorted(range(len(judged)), key=lambda i: len(judged[i][1].words))
    for i in range(0, len(order), 64):
        chosen = [judged[j] for j in order[i:i + 64]]
        batch = Batch([prompt for _, prompt in chosen], no_word, False)
        with torch.no_grad():
            given = network(batch)
        labels = network.probabilities(given, batch).argmax(2).numpy()
        for (lesson, prompt), own_labels in zip(chosen, labels):
            spans = [(int(s), int(e), int(own_labels[n])) for n, (s, e) in enumerate(prompt.places)]
            scores.setdefault(lesson['hand'], Score()).add(lesson['gold'], spans)
    network.load_state_dict(now)
    network.train()
    both = Score()
    for score in scores.values():
        both.confusion += score.confusion
    return both, scores


for epoch in range(options.epochs):
    units = own + random.sample(mixed, int(len(mixed) * options.mixed))
    loss_of_epoch = 0.0
    for chosen in batches(units, options.batch):
        steps += 1
        rate = options.rate * min(1, steps / 200) * (0.5 + 0.5 * math.cos(math.pi * min(1, steps / total)))
        for group in optimizer.param_groups:
            group['lr'] = rate
        batch = Batch(chosen, no_word, True)
        loss = network.loss(network(batch), batch).mean()
        optimizer.zero_grad()
        loss.backward()
        torch.nn.utils.clip_grad_norm_(network.parameters(), 5)
        optimizer.step()
        network.settle()
        loss_of_epoch += loss.item()
        if steps % 4 == 0:
            keep = min(options.average ** 4, steps / (steps + 40))
            with torch.no_grad():
                for name, value in network.state_dict().items():
                    mean[name].mul_(keep).add_(value, alpha=1 - keep)
    if judged and (epoch % options.every == options.every - 1 or epoch == options.epochs - 1):
        both, scores = judge()
        print(options.name, epoch + 1, f'{time.time() - began:.0f}s loss {loss_of_epoch / per_epoch:.3f} POOL {both.f1().mean():.4f}', {hand: round(score.f1().mean(), 4) for hand, score in sorted(scores.items())}, np.round(both.f1(), 3).tolist(), flush=True)

if options.out:
    network.load_state_dict(mean)
    network.settle()
    features = np.array(sorted(index), dtype=np.uint32)
    parts = {'keys': features, **network.tensors()}
    with open(options.out, 'wb') as file:
        head = json.dumps({'vector': options.numbers, 'input': options.width, 'hidden': options.hidden, 'parts': [{'name': name, 'count': int(part.size)} for name, part in parts.items()]}).encode()
        file.write(len(head).to_bytes(4, 'little'))
        file.write(head)
        for name, part in parts.items():
            file.write(part.astype('<u4' if name == 'keys' else '<f4').tobytes())

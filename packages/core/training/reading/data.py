"""Lessons of the reading, as examples.ts writes them, in numbers."""
import json
import random
from collections import Counter

import numpy as np
import torch

LABELS = 13
NO_WORD_CHANCE = 0.05


def lines(path):
    with open(path, encoding='utf8') as file:
        return [json.loads(line) for line in file if line.strip()]


def learned(lessons, at_least):
    """The features seen often enough to be learned, each with its row."""
    counts = Counter(feature for lesson in lessons for unit in lesson['units'] for step in unit['features'] for feature in step)
    return {feature: row for row, feature in enumerate(sorted(feature for feature, count in counts.items() if count >= at_least))}


class Unit:
    """A sentence or field: its steps' rows and words, and its items."""

    __slots__ = ('rows', 'sizes', 'words', 'steps', 'gaps', 'labels', 'places')

    def __init__(self, unit, index, no_word):
        rows = [[index[feature] for feature in step if feature in index] for step in unit['features']]
        self.rows = np.fromiter((row for step in rows for row in step), dtype=np.int64)
        self.sizes = np.fromiter((len(step) for step in rows), dtype=np.int64)
        self.words = np.fromiter((no_word if word < 0 else word for word in unit['words']), dtype=np.int64)
        items = np.array(unit['items'], dtype=np.int64)
        self.steps, self.gaps, self.labels = items[:, 0], items[:, 1], items[:, 2]
        self.places = items[:, 3:]


class Batch:
    """Units side by side, filled up to the longest."""

    def __init__(self, units, no_word, training):
        count, length, items = len(units), max(len(u.words) for u in units), max(len(u.steps) for u in units)
        self.rows = torch.from_numpy(np.concatenate([u.rows for u in units]))
        sizes = np.concatenate([u.sizes for u in units])
        self.offsets = torch.from_numpy(np.concatenate([[0], np.cumsum(sizes)[:-1]]))
        words = np.concatenate([u.words for u in units])
        if training:
            words = np.where(np.random.rand(len(words)) < NO_WORD_CHANCE, no_word, words)
        self.words = torch.from_numpy(words)
        self.shape = (count, length)
        lengths = np.array([len(u.words) for u in units])
        self.lengths = torch.from_numpy(lengths)
        self.unit = torch.from_numpy(np.repeat(np.arange(count), lengths))
        self.step = torch.from_numpy(np.concatenate([np.arange(n) for n in lengths]))
        self.items = torch.zeros(count, items, dtype=torch.long)
        self.gaps = torch.zeros(count, items, dtype=torch.long)
        self.labels = torch.zeros(count, items, dtype=torch.long)
        self.mask = torch.zeros(count, items)
        for i, u in enumerate(units):
            n = len(u.steps)
            self.items[i, :n] = torch.from_numpy(u.steps)
            self.gaps[i, :n] = torch.from_numpy(u.gaps)
            self.labels[i, :n] = torch.from_numpy(u.labels)
            self.mask[i, :n] = 1


def batches(units, size):
    """Batches of units about as long as one another, in a new order each time."""
    order = sorted(units, key=lambda u: len(u.words) // 5 + random.random() * 4)
    found = [order[i:i + size] for i in range(0, len(order), size)]
    random.shuffle(found)
    return found


class Score:
    """Right label by given label, over the words that count."""

    def __init__(self):
        self.confusion = np.zeros((LABELS, LABELS))

    def add(self, gold, spans):
        at = 0
        for start, end, label in gold:
            while at < len(spans) and spans[at][1] <= start:
                at += 1
            hit = at < len(spans) and spans[at][0] <= start and end <= spans[at][1]
            self.confusion[label][spans[at][2] if hit else 0] += 1

    def f1(self):
        c = self.confusion
        return np.array([2 * c[f][f] / max(1, c[f].sum() + c[:, f].sum()) for f in range(1, LABELS)])

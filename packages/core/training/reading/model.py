"""The reading's network (src/read/model/network.ts), for training."""
import math

import numpy as np
import torch
from torch import nn
from data import LABELS

GAPS = 8


@torch.jit.script
def all_paths(scores, pairs, mask):
    """The logarithm of the sum over all paths of a chain; the first pair is from label 0."""
    alpha = scores[:, 0] + pairs[:, 0, 0]
    for t in range(1, scores.shape[1]):
        following = torch.logsumexp(alpha.unsqueeze(2) + pairs[:, t], 1) + scores[:, t]
        on = mask[:, t].unsqueeze(1)
        alpha = following * on + alpha * (1 - on)
    return torch.logsumexp(alpha, 1)


class Network(nn.Module):
    def __init__(self, rows, vectors, width, hidden, drop, drop_feature):
        super().__init__()
        self.rows = nn.EmbeddingBag(rows, width, mode='sum')
        nn.init.uniform_(self.rows.weight, -0.05, 0.05)
        self.vectors = vectors
        self.project = nn.Linear(vectors.shape[1], width)
        self.gates = nn.GRU(width, hidden, bidirectional=True, batch_first=True)
        self.output = nn.Linear(2 * hidden + width, LABELS)
        self.pairs = nn.Parameter(torch.zeros(GAPS, LABELS, LABELS))
        self.drop = nn.Dropout(drop)
        self.drop_feature = drop_feature
        self.settle()

    def settle(self):
        """The reader has one bias a gate: the candidate's stands outside its reset gate."""
        with torch.no_grad():
            hidden = self.gates.hidden_size
            for name in ('bias_hh_l0', 'bias_hh_l0_reverse'):
                getattr(self.gates, name)[2 * hidden:] = 0

    def steps(self, batch):
        weights = torch.ones(len(batch.rows))
        if self.training:
            weights = torch.bernoulli(weights * (1 - self.drop_feature)) / (1 - self.drop_feature)
        first = self.rows(batch.rows, batch.offsets, per_sample_weights=weights) + self.project(self.vectors[batch.words])
        x = torch.zeros(*batch.shape, first.shape[1])
        x[batch.unit, batch.step] = self.drop(torch.relu(first))
        packed = nn.utils.rnn.pack_padded_sequence(x, batch.lengths, batch_first=True, enforce_sorted=False)
        h, _ = nn.utils.rnn.pad_packed_sequence(self.gates(packed)[0], batch_first=True, total_length=batch.shape[1])
        return x, h

    def forward(self, batch):
        x, h = self.steps(batch)
        both = torch.cat([self.drop(h), x], 2)
        return self.output(both.gather(1, batch.items.unsqueeze(2).expand(-1, -1, both.shape[2])))

    def loss(self, scores, batch):
        """What the right path lacks, a unit."""
        pairs = self.pairs[batch.gaps]
        before = torch.cat([torch.zeros(len(batch.labels), 1, dtype=torch.long), batch.labels[:, :-1]], 1)
        step = pairs.flatten(2).gather(2, (before * LABELS + batch.labels).unsqueeze(2)).squeeze(2)
        right = ((scores.gather(2, batch.labels.unsqueeze(2)).squeeze(2) + step) * batch.mask).sum(1)
        return all_paths(scores, pairs, batch.mask) - right

    def probabilities(self, scores, batch):
        """How probable each label of each item is: the gradient of the sum over all paths."""
        with torch.enable_grad():
            leaf = scores.detach().requires_grad_(True)
            (p,) = torch.autograd.grad(all_paths(leaf, self.pairs[batch.gaps].detach(), batch.mask).sum(), leaf)
        return p

    def tensors(self):
        """The weights as the reader's tables name and shape them."""
        hidden = self.gates.hidden_size
        def direction(tail):
            of = lambda name: getattr(self.gates, f'{name}_l0{tail}').detach().numpy()
            return np.concatenate([of('weight_ih'), of('weight_hh'), (of('bias_ih') + of('bias_hh'))[:, None]], 1)
        return {
            'rows': self.rows.weight.detach().numpy(),
            'project': self.project.weight.detach().numpy(),
            'bias': self.project.bias.detach().numpy(),
            'forwards': direction(''),
            'backwards': direction('_reverse'),
            'output': np.concatenate([self.output.weight.detach().numpy(), self.output.bias.detach().numpy()[:, None]], 1),
            'pairs': self.pairs.detach().numpy(),
        }
